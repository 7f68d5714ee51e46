import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { collectionList } from '../../api/collectionList';
import type { ListedCollection } from '../../api/listedCollections';
import { useEntries } from '../../api/useEntries';
import '../../editor/lists';
import { Button } from '../../ui/Button';
import { WorkspaceBar } from '../../editor/frame/WorkspaceBar';
import { DropArea } from '../../ui/DropArea';
import { MoreBelow } from '../../ui/MoreBelow';
import { useOpening } from '../../editor/opening/useOpening';
import { CollectionCard } from './CollectionCard';

const { useAddCollectionMutation, useCollectionsInfiniteQuery, useDeleteCollectionMutation } = collectionList;
const idOf = ({ id }: ListedCollection) => id;
const isAwayIn = (trouble: object | undefined) =>
  trouble !== undefined && 'isAway' in trouble && trouble.isAway === true;
/** How often a server that does not answer is asked again. */
const AGAIN_MS = 2000;

/** The first screen: every collection of the workspace as it looks. */
export function CollectionsScreen() {
  const navigate = useNavigate();
  const found = useCollections();
  const { entries: collections, more } = useEntries(found, idOf);
  const [add, adding] = useAddCollectionMutation();
  const [remove, removing] = useDeleteCollectionMutation();
  const opening = useOpening(() => void navigate('/open'));
  const trouble = found.error ?? adding.error ?? removing.error;

  useEffect(() => {
    document.title = 'Collections – Noria';
  }, []);

  const create = () => {
    void add({ name: 'Untitled collection' }).then(({ data: made }) => {
      if (made) void navigate(`/collections/${made.id}/compose`);
    });
  };

  return (
    <DropArea {...opening}>
      <WorkspaceBar />
      <main className="min-h-0 flex-1 overflow-y-auto px-6 pt-7 pb-10 [scrollbar-width:thin]">
        <div className="mx-auto max-w-[1360px]">
          <div className="mb-6 flex items-end justify-between gap-6">
            <div>
              <h1 className="font-title text-[28px] leading-tight font-[680] tracking-tight">Collections</h1>
              <p className="mt-0.5 text-soft">Cards, tiles and pictures, packed at every width.</p>
            </div>
            <div className="flex gap-2">
              <Button onClick={() => void navigate('/open')}>Open a page or file</Button>
              <Button look="solid" disabled={adding.isLoading} onClick={create}>
                New collection
              </Button>
            </div>
          </div>
          {trouble && (
            <p role="alert" className="mb-5 rounded-m border border-amiss px-4 py-2.5 text-ink">
              {trouble.message} {isAwayIn(trouble) && 'Trying again…'}
            </p>
          )}
          {collections?.length === 0 && (
            <p className="py-16 text-center text-soft">
              No collections yet. Create the first one, or drop a page here.
            </p>
          )}
          {!collections && !trouble && <p className="py-16 text-center text-soft">Opening…</p>}
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(340px,1fr))] gap-x-6 gap-y-8">
            {collections?.map((collection) => (
              <li key={collection.id}>
                <CollectionCard collection={collection} onDelete={() => void remove(collection)} />
              </li>
            ))}
          </ul>
          {more && <MoreBelow onMore={more} />}
        </div>
      </main>
    </DropArea>
  );
}

/** Those of the workspace; while the server is away they are asked for again and again. */
function useCollections() {
  const [isAway, setAway] = useState(false);
  const found = useCollectionsInfiniteQuery(undefined, { pollingInterval: isAway ? AGAIN_MS : 0 });
  const away = isAwayIn(found.error);
  if (away !== isAway) setAway(away);
  return found;
}
