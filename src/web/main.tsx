import '@fontsource/atkinson-hyperlegible-next/400.css';
import '@fontsource/atkinson-hyperlegible-next/600.css';
import '@fontsource/atkinson-hyperlegible-next/700.css';
import '@fontsource/atkinson-hyperlegible-mono/400.css';
import './app/styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/App';
import { applyLook, storedLook } from './app/look';
import { whenFull } from './data/device/kept';
import { sayWrong } from './data/device/messages';

applyLook(storedLook());
whenFull(() =>
  sayWrong(
    'The store of this device is full. What you type stays on the screen, but a reload would lose it: save it now.',
  ),
);
const root = document.getElementById('root');
if (!root) throw new Error('index.html needs an element with the id root.');
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
