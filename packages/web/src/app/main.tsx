import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { enterWorkspace } from '../api/workspace';
import { plainFaces } from '../editor/engine/faces';
import { loadFaces } from '../editor/engine/measurer';
import { keepDraining } from '../editor/saving/keepDraining';
import { Notices } from '../ui/notices/Notices';
import { reloadOnceWhenUpdated } from './reloadOnce';
import { makeStore } from './store';
import { Unreachable } from './Unreachable';
import { Views } from './Views';
import '../styles/base.css';

reloadOnceWhenUpdated();
// The interface is in these, and most collections begin in them.
void loadFaces(document.fonts, plainFaces({}, ['Bricolage Grotesque', 'Hanken Grotesk', 'Martian Mono']));

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
  root.render(
    <StrictMode>
      <Provider store={store}>
        <Views />
        <Notices />
      </Provider>
    </StrictMode>,
  );
}

await begin();
