import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { enterWorkspace } from '../api/workspace';
import { fetchFonts } from '../editor/engine/fontsThere';
import { keepDraining } from '../editor/saving/drain';
import { followChanges } from '../editor/saving/followChanges';
import { Notices } from '../ui/notices/Notices';
import { reloadOnceWhenUpdated } from './reloadOnce';
import { makeRouter } from './router';
import { makeStore } from './store';
import { Unreachable } from './Unreachable';
import '../styles/base.css';

reloadOnceWhenUpdated();
void fetchFonts();

const store = makeStore();
const { dispatch } = store;
const getState = () => store.getState();
const root = createRoot(document.getElementById('root') as HTMLElement);

async function begin(): Promise<void> {
  try {
    await enterWorkspace();
  } catch (error) {
    root.render(<Unreachable why={error} onAgain={() => void begin()} />);
    return;
  }
  keepDraining(dispatch, getState);
  followChanges(dispatch, getState);
  root.render(
    <StrictMode>
      <Provider store={store}>
        <RouterProvider router={makeRouter()} />
        <Notices />
      </Provider>
    </StrictMode>,
  );
}

await begin();
