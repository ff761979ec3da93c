import { theme } from 'ant-design-vue';
import type { ThemeConfig } from 'ant-design-vue/es/config-provider/context';
import type { Palette } from './palette.ts';

const TOUCH_TARGET_PX = 40;

/** The component library's look, from the product's own palette: fine rules, no shadows, no boxes. */
export function componentTheme(palette: Palette, dark: boolean): ThemeConfig {
  return {
    algorithm: dark ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      fontFamily: "'Figtree Variable', system-ui, sans-serif",
      fontSize: 15,
      colorPrimary: palette.water,
      colorInfo: palette.water,
      colorError: palette.alarm,
      colorWarning: palette.brass,
      colorText: palette.ink,
      colorTextSecondary: palette.inkSoft,
      colorTextDescription: palette.inkSoft,
      colorTextPlaceholder: palette.inkSoft,
      colorTextLightSolid: palette.onWater,
      colorBgBase: palette.bench,
      colorBgContainer: palette.bench,
      colorBgElevated: palette.bench,
      colorBgLayout: palette.paper,
      colorBorder: palette.iceDeep,
      colorBorderSecondary: palette.rule,
      colorSplit: palette.rule,
      controlItemBgActive: palette.ice,
      controlItemBgHover: palette.ice,
      borderRadius: 2,
      controlHeight: TOUCH_TARGET_PX,
      controlHeightSM: 32,
      boxShadow: `0 0 0 1px ${palette.iceDeep}`,
      boxShadowSecondary: `0 0 0 1px ${palette.iceDeep}, 0 12px 32px rgb(10 30 40 / 14%)`,
      boxShadowTertiary: 'none',
      motionDurationMid: '0.12s',
      motionDurationSlow: '0.16s',
      wireframe: true,
    },
  };
}
