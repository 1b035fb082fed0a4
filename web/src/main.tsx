import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { config } from 'zod';
import { App } from './app/App';
import { watchPage } from './state/listeners';
import { store } from './state/store';

// the content policy allows no code made from text, which zod would otherwise try for speed
config({ jitless: true });

watchPage(store);

const root = document.getElementById('root');
if (!root) throw new Error('The page has no element "root"');
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <App />
    </Provider>
  </StrictMode>,
);
