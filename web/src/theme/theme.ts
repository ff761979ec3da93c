import { theme } from 'ant-design-vue';
import type { ThemeConfig } from 'ant-design-vue/es/config-provider/context';
import { FACE, TOUCH, TYPE, USUAL_TEXT, WEIGHT, type Palette } from './tokens.ts';

/** How much larger than usual the reader has text. */
export const textScale = (): number =>
  (Number.parseFloat(getComputedStyle(document.documentElement).fontSize) || USUAL_TEXT) / USUAL_TEXT;

/** A control is no lower than its line of text with a little room. */
const LEAST_LINE = 1.6 * TYPE.text;

/** The component kit's look, from the product's own tokens: fine rules, no shadows, no boxes. */
export function componentTheme(palette: Palette, dark: boolean, isTouched = false, scale = 1): ThemeConfig {
  return {
    algorithm: dark ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      fontFamily: FACE,
      fontSize: scale * TYPE.text,
      fontSizeSM: scale * TYPE.note,
      fontSizeLG: scale * TYPE.lead,
      fontSizeXL: scale * TYPE.lead,
      fontSizeHeading1: scale * TYPE.title,
      fontSizeHeading2: scale * TYPE.lead,
      fontSizeHeading3: scale * TYPE.text,
      fontWeightStrong: WEIGHT.strong,
      colorPrimary: palette.water,
      colorInfo: palette.water,
      colorLink: palette.water,
      colorError: palette.alarm,
      colorWarning: palette.brass,
      colorText: palette.ink,
      colorTextSecondary: palette.inkSoft,
      colorTextDescription: palette.inkSoft,
      colorTextPlaceholder: palette.inkSoft,
      colorTextDisabled: palette.inkSoft,
      colorTextLightSolid: palette.onWater,
      colorBgBase: palette.bench,
      colorBgContainer: palette.bench,
      colorBgContainerDisabled: palette.ice,
      colorBgElevated: palette.bench,
      colorBgLayout: palette.paper,
      colorBgMask: palette.mask,
      colorBorder: palette.edge,
      colorBorderSecondary: palette.rule,
      colorSplit: palette.rule,
      controlItemBgActive: palette.ice,
      controlItemBgHover: palette.ice,
      controlOutlineWidth: 0,
      borderRadius: 0,
      borderRadiusLG: 0,
      borderRadiusSM: 0,
      controlHeight: Math.max(isTouched ? TOUCH.choice : TOUCH.field, scale * LEAST_LINE),
      controlHeightSM: Math.max(isTouched ? TOUCH.field : 32, scale * LEAST_LINE),
      boxShadow: `0 0 0 1px ${palette.edge}`,
      boxShadowSecondary: `0 0 0 1px ${palette.edge}, 0 12px 32px ${palette.shadow}`,
      boxShadowTertiary: 'none',
      motionDurationMid: '0.12s',
      motionDurationSlow: '0.16s',
      wireframe: true,
    },
  };
}
