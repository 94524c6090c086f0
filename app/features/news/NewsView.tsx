import { Link } from "react-router";
import { longDay } from "~app/ui/days";
import { NEWS } from "./news";
import "./news.css";

/** What is new, in one screen. */
export function NewsView() {
  return (
    <div className="page">
      <header className="page-head">
        <h1>What is new</h1>
      </header>
      <div className="news">
        {NEWS.map(({ on, title, points }) => (
          <section key={on} className="sheet">
            <p className="quiet">{longDay(on)}</p>
            <h2>{title}</h2>
            <ul>
              {points.map(({ text, to, where }) => (
                <li key={text}>
                  {text}{" "}
                  {to && (
                    <Link className="link" to={to}>
                      {where}
                    </Link>
                  )}
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </div>
  );
}
