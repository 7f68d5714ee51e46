import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { addCollection } from '../../api/collectionList';
import { ServerAway } from '../../api/problem';
import { Button } from '../../ui/Button';
import { WorkspaceBar } from '../../editor/frame/WorkspaceBar';
import { MoreBelow } from '../../ui/MoreBelow';
import { CollectionCard } from './CollectionCard';
import { useCollections } from './useCollections';

/** The first screen: every collection of the workspace as it looks. */
export function CollectionsScreen() {
  const navigate = useNavigate();
  const { collections, more, trouble, setTrouble, load } = useCollections();
  const [making, setMaking] = useState(false);
  const fail = (error: unknown) => setTrouble(error instanceof Error ? error.message : String(error));

  useEffect(() => {
    document.title = 'Collections – Noria';
  }, []);

  const create = () => {
    setMaking(true);
    addCollection({ name: 'Untitled collection' })
      .then(({ id }) => navigate(`/collections/${id}/compose`))
      .catch(fail)
      .finally(() => setMaking(false));
  };

  return (
    <div className="flex h-full flex-col">
      <WorkspaceBar />
      <main className="min-h-0 flex-1 overflow-y-auto px-6 pt-7 pb-10 [scrollbar-width:thin]">
        <div className="mx-auto max-w-[1360px]">
          <div className="mb-6 flex items-end justify-between gap-6">
            <div>
              <h1 className="font-title text-[28px] leading-tight font-[680] tracking-tight">Collections</h1>
              <p className="mt-0.5 text-soft">Cards, tiles and pictures, packed at every width.</p>
            </div>
            <Button look="solid" disabled={making} onClick={create}>
              New collection
            </Button>
          </div>
          {trouble && (
            <p role="alert" className="mb-5 rounded-m border border-amiss px-4 py-2.5 text-ink">
              {trouble} {trouble === new ServerAway().message && 'Trying again…'}
            </p>
          )}
          {collections?.length === 0 && (
            <p className="py-16 text-center text-soft">No collections yet. Create the first one.</p>
          )}
          {!collections && !trouble && <p className="py-16 text-center text-soft">Opening…</p>}
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(340px,1fr))] gap-x-6 gap-y-8">
            {collections?.map((collection) => (
              <li key={collection.id}>
                <CollectionCard collection={collection} onGone={() => load()} onTrouble={fail} />
              </li>
            ))}
          </ul>
          {more && <MoreBelow onMore={more} />}
        </div>
      </main>
    </div>
  );
}
