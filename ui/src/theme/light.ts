import { theme as antd, type ThemeConfig } from 'antd';
import { createContext, useContext } from 'react';

export type Light = 'day' | 'glare' | 'night';
export const lights: Light[] = ['day', 'glare', 'night'];

const key = 'greypebble.light';

export function storedLight(): Light {
  const v = localStorage.getItem(key);
  return lights.includes(v as Light) ? (v as Light) : 'day';
}

export function applyLight(light: Light) {
  localStorage.setItem(key, light);
  document.documentElement.dataset.light = light;
}

const palette = {
  day: {
    bg: '#f8f7f3',
    ink: '#1e272b',
    quiet: '#525c63',
    line: '#cdc9c0',
    accent: '#8a5509',
    error: '#a0221c',
    size: 15,
  },
  glare: {
    bg: '#ffffff',
    ink: '#000000',
    quiet: '#1d1d1d',
    line: '#6b6b6b',
    accent: '#6b3d00',
    error: '#8b0000',
    size: 18,
  },
  night: {
    bg: '#160707',
    ink: '#ee8a80',
    quiet: '#c76f67',
    line: '#4a1f1c',
    accent: '#ffab9c',
    error: '#ff5347',
    size: 15,
  },
};

/** Ant Design in the colours of tokens.css. */
export function antTheme(light: Light): ThemeConfig {
  const p = palette[light];
  return {
    algorithm: light === 'night' ? antd.darkAlgorithm : antd.defaultAlgorithm,
    token: {
      colorPrimary: p.accent,
      // Under the pointer it stays as dark: the library's lighter tone is hard to read.
      colorPrimaryHover: p.accent,
      colorPrimaryActive: p.accent,
      colorInfo: p.accent,
      colorError: p.error,
      colorText: p.ink,
      colorTextSecondary: p.quiet,
      colorTextDescription: p.quiet,
      colorTextPlaceholder: p.quiet,
      colorBgContainer: p.bg,
      colorBgElevated: p.bg,
      colorBorder: p.line,
      colorTextLightSolid: light === 'night' ? '#160707' : '#fffaf0',
      fontFamily: 'var(--font)',
      fontSize: p.size,
      borderRadius: 8,
      controlHeight: 40,
      motion: false,
    },
  };
}

export const LightContext = createContext<{ light: Light; setLight: (l: Light) => void }>({
  light: 'day',
  setLight: () => undefined,
});
export const useLight = () => useContext(LightContext);
