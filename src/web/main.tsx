import '@fontsource/atkinson-hyperlegible-next/400.css';
import '@fontsource/atkinson-hyperlegible-next/600.css';
import '@fontsource/atkinson-hyperlegible-next/700.css';
import '@fontsource/atkinson-hyperlegible-mono/400.css';
import './app/styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/App';
import { applyLook, storedLook } from './app/look';

applyLook(storedLook());
const root = document.getElementById('root');
if (!root) throw new Error('index.html needs an element with the id root.');
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
