import { Link } from 'react-router';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { Mark } from '../../ui/Mark';
import { takeAway } from '../saving/takeAway';

/** What a view shows when it broke: the work is kept, and can be taken away. */
export function ViewTrouble({ error }: { readonly error: unknown }) {
  const dispatch = useAppDispatch();
  const document = useAppSelector((state) => state.document.document);
  const why = error instanceof Error ? error.message : String(error);
  return (
    <main className="grid h-full place-content-center justify-items-center gap-3 p-8 text-center">
      <Mark size={40} />
      <h1 className="font-title text-lg font-semibold">This view stopped working</h1>
      <p role="alert" className="max-w-[56ch] text-soft">
        Your work is not lost: it is saved, or kept in this browser until it is. Load the page again to go on.
      </p>
      <p className="figures max-w-[72ch] text-faint">{why.slice(0, 300)}</p>
      <div className="flex flex-wrap justify-center gap-2">
        <Button look="solid" onClick={() => window.location.reload()}>
          Load the page again
        </Button>
        {document && (
          <Button onClick={() => dispatch(takeAway(document, document.name))}>
            Download “{document.name}” as a file
          </Button>
        )}
      </div>
      <Link to="/" reloadDocument className="text-copper-ink underline">
        All collections
      </Link>
    </main>
  );
}
