import { theme, type ThemeConfig } from "antd";
import { FACE, RADIUS_PX, TOKENS, type ThemeName } from "./tokens";

/** Ant Design dressed in the house's tokens. */
export function antTheme(name: ThemeName): ThemeConfig {
  const tokens = TOKENS[name];
  const barn = name === "barn";
  return {
    algorithm: barn ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      fontFamily: FACE,
      fontSize: barn ? 17 : 15,
      colorPrimary: tokens.verdigris,
      colorInfo: tokens.verdigris,
      colorLink: tokens.verdigris,
      // Derived ones are darker on dark, lighter on light: words under a pointer stay as readable as the others.
      colorLinkHover: tokens.verdigris,
      colorLinkActive: tokens.verdigris,
      colorError: tokens.ember,
      colorWarning: tokens.brass,
      colorSuccess: tokens.verdigris,
      colorText: tokens.ink,
      colorTextSecondary: tokens.quiet,
      colorTextDescription: tokens.quiet,
      colorTextPlaceholder: tokens.quiet,
      colorBgBase: tokens.sheet,
      colorBgContainer: tokens.sheet,
      colorBgLayout: tokens.paper,
      colorBgElevated: tokens.sheet,
      colorBorder: tokens.rule,
      colorBorderSecondary: tokens.rule,
      borderRadius: RADIUS_PX.control,
      controlHeight: 44,
      // Nothing grows into its place: what a finger aims at stands where it was seen.
      motion: false,
    },
    components: {
      Button: {
        primaryColor: tokens.onVerdigris,
        fontWeight: 600,
        primaryShadow: "none",
        defaultShadow: "none",
      },
      Segmented: { itemSelectedBg: tokens.ink, itemSelectedColor: tokens.sheet, trackBg: tokens.sheet },
    },
  };
}
