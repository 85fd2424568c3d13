import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import 'antd/dist/reset.css';
import './theme/tokens.css';
import './theme/shared.css';
import { createRoot } from 'react-dom/client';
import { App } from './App';
import { applyLight, storedLight } from './theme/light';

applyLight(storedLight());
createRoot(document.getElementById('root')!).render(<App />);
