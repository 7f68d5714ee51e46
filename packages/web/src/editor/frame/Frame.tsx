import { Suspense, useEffect, useState } from 'react';
import { Link, Outlet, useParams } from 'react-router';
import { UnreadableCollection } from '../../api/collections';
import { isPassing } from '../../api/problem';
import { useAppSelector, useAppStore } from '../hooks';
import { Button } from '../../ui/Button';
import { Mark } from '../../ui/Mark';
import { keepHistory } from '../saving/history';
import { open } from '../saving/open';
import { startEditing } from '../saving/startEditing';
import { selectIsOpen } from '../document/selectors';
import { takeAway } from '../saving/takeAway';
import { useFonts } from '../engine/useFonts';
import { useFollowWider } from '../reflow/following';
import { useFitCheck } from '../fit/useFitCheck';
import { selectQuestion, selectSaving } from '../document/selectors';
import { fetchAhead, whenShown } from '../../ui/lazily';
import { Opening } from '../../ui/Opening';

const QuestionDialog = whenShown(() => import('./QuestionDialog').then((file) => file.QuestionDialog));
const DeletedDialog = whenShown(() => import('./DeletedDialog').then((file) => file.DeletedDialog));

/** When the first paint is over, ms. */
const AHEAD_MS = 600;

/** Opens the collection of the address for the view inside; says what keeps it from opening. */
export function Frame() {
  const { id = '' } = useParams();
  const store = useAppStore();
  const { dispatch } = store;
  const isOpen = useAppSelector(selectIsOpen);
  const openId = useAppSelector((state) => state.document.id);
  const [trouble, setTrouble] = useState<{
    readonly words: string;
    readonly again: boolean;
    readonly stored: UnreadableCollection['stored'] | null;
  } | null>(null);

  useEffect(() => {
    let wanted = true;
    let timer = 0;
    startEditing(store.dispatch, () => store.getState());
    const attempt = () =>
      store.dispatch(open(id)).then(
        () => wanted && setTrouble(null),
        (error: unknown) => {
          if (!wanted) return;
          const again = isPassing(error);
          const words = error instanceof Error ? error.message : String(error);
          const stored = error instanceof UnreadableCollection ? error.stored : null;
          setTrouble({ words, again, stored });
          if (again) timer = window.setTimeout(() => void attempt(), 1500);
        },
      );
    void attempt();
    const keep = () => {
      const { document } = store.getState();
      if (document.id === id) keepHistory(document);
    };
    window.addEventListener('pagehide', keep);
    return () => {
      keep();
      window.removeEventListener('pagehide', keep);
      wanted = false;
      window.clearTimeout(timer);
    };
  }, [store, id]);

  const fontsAreThere = useFonts(
    useAppSelector(({ document }) => document.document),
    isOpen ? openId : null,
  );
  const question = useAppSelector(selectQuestion);
  const saving = useAppSelector(selectSaving);
  if (isOpen && openId === id && fontsAreThere) {
    return (
      <>
        <Beside key={id} />
        <Outlet />
        <Suspense>
          {question && <QuestionDialog key={question.revision} />}
          {saving.state === 'deleted' && <DeletedDialog />}
        </Suspense>
      </>
    );
  }
  if (!trouble) return <Opening />;
  return (
    <main className="grid h-full place-content-center justify-items-center gap-3 p-8 text-center">
      <Mark size={40} />
      <h1 className="font-title text-lg font-semibold">This collection can’t be opened</h1>
      <p className="max-w-[46ch] text-soft" role="alert">
        {trouble.words} {trouble.again && 'Trying again…'}
      </p>
      {trouble.stored && (
        <Button
          look="solid"
          onClick={() => dispatch(takeAway(trouble.stored?.document, trouble.stored?.name ?? ''))}
        >
          Download it as a file
        </Button>
      )}
      <Link to="/" className="text-copper-ink underline">
        All collections
      </Link>
    </main>
  );
}

/** What goes on in every view of a collection: bands that follow, the fit check, and fetching what may be opened later. */
function Beside() {
  useFollowWider();
  useFitCheck();
  useEffect(() => {
    const timer = window.setTimeout(() => void fetchAhead(), AHEAD_MS);
    return () => window.clearTimeout(timer);
  }, []);
  return null;
}
