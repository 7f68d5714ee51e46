import {
  resolvedBands,
  colourOf,
  columnCountOf,
  layoutCollection,
  type CollectionDocument,
} from '@noria/core';
import { MoreHorizontal } from 'lucide-react';
import { AlertDialog, DropdownMenu } from 'radix-ui';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { deleteCollection, type ListedCollection } from '../../api/collections';
import { Button, SignButton } from '../../ui/Button';
import { measurer } from '../../editor/engine/measurer';
import { COLUMN_WORDS } from '../../ui/kindWords';
import { useSize } from '../../ui/useSize';
import { count } from '../../ui/words';
import { StagePage } from '../../editor/stage/StagePage';

const list = new Intl.ListFormat('en', { type: 'conjunction' });

/** The width at which a thumbnail shows its collection. */
const SHOWN_AT = 1280;

interface CollectionCardProps {
  readonly collection: ListedCollection;
  readonly onGone: () => void;
  readonly onTrouble: (error: unknown) => void;
}

/** “bento of 6, 4 and 2 columns”, “masonry, up to 5 lanes”, “rows”. */
function arrangedWords(document: CollectionDocument): string {
  const bands = resolvedBands(document);
  const kinds = [...new Set(bands.map(({ arrangement }) => arrangement.kind))];
  const [kind = 'bento'] = kinds;
  if (kinds.length > 1) return list.format(kinds);
  const counts = bands.map((band) => band.columns.length);
  const [most = 1] = counts;
  const word = COLUMN_WORDS[kind];
  if (word === null) return kind;
  if (bands.some(({ arrangement }) => columnCountOf(arrangement)?.count === null))
    return `${kind}, up to ${count(Math.max(...counts), word).toLowerCase()}`;
  return `${kind} of ${list.format([...new Set(counts)].map(String))} ${most === 1 ? word : `${word}s`}`;
}

export function CollectionCard({ collection, onGone, onTrouble }: CollectionCardProps) {
  const { id, name, updatedAt, summary } = collection;
  const { document, unreadable } = summary;
  const [asking, setAsking] = useState(false);
  const changed = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long' }).format(
    new Date(updatedAt),
  );
  return (
    <article className="group relative">
      {document ? (
        <Thumbnail document={document} />
      ) : (
        <p className="grid aspect-[16/10] place-content-center rounded-m bg-field p-6 text-center text-sm text-soft">
          {unreadable ?? 'No tiles yet'}
        </p>
      )}
      <div className="mt-2 flex items-start gap-2">
        <div className="min-w-0">
          <h2 className="truncate font-title text-lg font-[650]">
            <Link to={`/collections/${id}/compose`} className="outline-none after:absolute after:inset-0">
              {name}
            </Link>
          </h2>
          <p className="text-sm text-soft">
            {document
              ? `${summary.tiles} ${summary.tiles === 1 ? 'tile' : 'tiles'} · ${arrangedWords(document)}`
              : 'Can’t be read here'}{' '}
            · {changed}
          </p>
        </div>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger asChild>
            <SignButton name={`More about ${name}`} className="relative z-10 ml-auto">
              <MoreHorizontal size={17} aria-hidden />
            </SignButton>
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="end"
              sideOffset={4}
              className="z-40 min-w-[150px] rounded-m bg-raised p-1 shadow-float"
            >
              <DropdownMenu.Item
                className="flex h-7 items-center rounded-s px-2 outline-none data-[highlighted]:bg-copper-wash data-[highlighted]:text-copper-ink"
                onSelect={() => setAsking(true)}
              >
                Delete…
              </DropdownMenu.Item>
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </div>
      <AlertDialog.Root open={asking} onOpenChange={setAsking}>
        <AlertDialog.Portal>
          <AlertDialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
          <AlertDialog.Content className="fixed top-1/3 left-1/2 z-50 grid w-[400px] -translate-x-1/2 gap-3 rounded-m bg-raised p-5 shadow-float">
            <AlertDialog.Title className="font-title text-lg font-semibold">
              Delete “{name}”?
            </AlertDialog.Title>
            <AlertDialog.Description className="text-soft">
              All its tiles and all its revisions go with it. This can’t be undone.
            </AlertDialog.Description>
            <div className="flex justify-end gap-2">
              <AlertDialog.Cancel asChild>
                <Button>Keep it</Button>
              </AlertDialog.Cancel>
              <AlertDialog.Action asChild>
                <Button
                  look="solid"
                  onClick={() => void deleteCollection(collection).then(onGone, onTrouble)}
                >
                  Delete
                </Button>
              </AlertDialog.Action>
            </div>
          </AlertDialog.Content>
        </AlertDialog.Portal>
      </AlertDialog.Root>
    </article>
  );
}

/** A collection as it looks, in small; drawn once it comes into sight. */
function Thumbnail({ document }: { readonly document: CollectionDocument }) {
  const [ref, size] = useSize();
  const place = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    const element = place.current;
    if (!element || seen) return undefined;
    const observer = new IntersectionObserver(
      (entries) => entries.some(({ isIntersecting }) => isIntersecting) && setSeen(true),
      { rootMargin: '300px' },
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, [seen]);
  const layout = useMemo(
    () => (seen ? layoutCollection(document, SHOWN_AT, { measurer }) : null),
    [document, seen],
  );
  return (
    <div
      ref={place}
      className="aspect-[16/10] overflow-hidden rounded-m shadow-[0_0_0_1px_var(--hair)] group-focus-within:shadow-[0_0_0_2px_var(--copper)] group-hover:shadow-[0_0_0_2px_var(--copper)]"
      style={{ background: colourOf(document.namedLooks, document.look.ground) }}
    >
      <div ref={ref} />
      {size && layout && layout.tiles.length > 0 && (
        <StagePage
          document={document}
          layout={layout}
          width={SHOWN_AT}
          scale={size.width / SHOWN_AT}
          pictureSize={640}
        />
      )}
      {layout?.tiles.length === 0 && (
        <p className="grid h-full place-items-center text-[#44514f]">No tiles yet</p>
      )}
    </div>
  );
}
