import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { loadFonts } from './measure/measurer';
import { followChanges, keepDraining } from './features/document';
import { reloadOnceWhenUpdated } from './reloadOnce';
import { router } from './router';
import { makeStore } from './store/store';
import { Notices } from './features/notices';
import './styles/base.css';

reloadOnceWhenUpdated();

const LONGEST_WAIT_MS = 4000;

// Words are measured from the first layout on, so their fonts come before it; but not at any price.
await Promise.race([
  loadFonts(document.fonts),
  new Promise((resolve) => window.setTimeout(resolve, LONGEST_WAIT_MS)),
]);

const store = makeStore();
const { dispatch } = store;
const getState = () => store.getState();
keepDraining(dispatch, getState);
followChanges(dispatch, getState);

createRoot(document.getElementById('root') as HTMLElement).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={router} />
      <Notices />
    </Provider>
  </StrictMode>,
);
