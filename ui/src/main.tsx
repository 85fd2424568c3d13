import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import 'antd/dist/reset.css';
import './theme/tokens.css';
import './theme/shared.css';
import { createRoot } from 'react-dom/client';
import { App } from './App';
import { standReady } from './device/stand';
import { applyLight, storedLight } from './theme/light';

applyLight(storedLight());
standReady();
// The page for when there is no signal is fetched once this one stands.
if (import.meta.env.PROD)
  window.addEventListener('load', () => {
    setTimeout(() => void navigator.serviceWorker?.register('/sw.js').catch(() => undefined), 3_000);
  });
createRoot(document.getElementById('root')!).render(<App />);
