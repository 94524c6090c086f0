import { chromium } from "@playwright/test";
const [,, out, path, size="1280x800", ...steps] = process.argv;
const [w,h]=size.split("x").map(Number);
const ctx = await chromium.launchPersistentContext("/tmp/prof", {executablePath:"/usr/bin/chromium", args:["--no-sandbox","--disable-gpu","--disable-quic","--no-first-run","--disable-background-networking","--disable-component-update","--disable-sync"], viewport:{width:w,height:h}, serviceWorkers:"block", hasTouch: w<500});
const page = ctx.pages()[0] ?? await ctx.newPage();
page.on("console",m=>{ if(["error","warning"].includes(m.type())) console.log("console:",m.text().slice(0,300))});
page.on("pageerror",e=>console.log("pageerror",e.message.slice(0,500)));
await page.goto("http://localhost:4173"+path); await page.waitForLoadState("networkidle");
for (const s of steps) { try { await (new Function("page","return (async()=>{"+s+"})()"))(page); } catch(e) { console.log("step failed", s, e.message.slice(0,300)); } }
await page.waitForTimeout(300);
await page.screenshot({path:out}); console.log(page.url()); await ctx.close();
