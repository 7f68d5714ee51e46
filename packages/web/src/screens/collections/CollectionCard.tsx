import { MoreHorizontal } from 'lucide-react';
import { AlertDialog, DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { Link } from 'react-router';
import type { ListedCollection } from '../../api/listedCollections';
import { Button, SignButton } from '../../ui/Button';
import { MENU, MENU_ITEM } from '../../ui/menu';
import { useFocusBack } from '../../ui/useFocusBack';
import { ThumbnailPlate } from './ThumbnailPlate';
import { useThumbnail } from './useThumbnail';

interface CollectionCardProps {
  readonly collection: ListedCollection;
  readonly onDelete: () => void;
}

export function CollectionCard({ collection, onDelete }: CollectionCardProps) {
  const { id, name, updatedAt, summary } = collection;
  const [place, thumbnail] = useThumbnail(collection);
  const [asking, setAsking] = useState(false);
  const focusBack = useFocusBack();
  const changed = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long' }).format(
    new Date(updatedAt),
  );
  return (
    <article className="group relative">
      <div ref={place}>
        <ThumbnailPlate thumbnail={thumbnail} isEmpty={summary.tiles === 0} />
      </div>
      <div className="mt-2 flex items-start gap-2">
        <div className="min-w-0">
          <h2 className="truncate font-title text-lg font-[650]">
            <Link to={`/collections/${id}/compose`} className="outline-none after:absolute after:inset-0">
              {name}
            </Link>
          </h2>
          <p className="text-sm text-soft">
            {thumbnail && 'unreadable' in thumbnail
              ? 'Can’t be read here'
              : [`${summary.tiles} ${summary.tiles === 1 ? 'tile' : 'tiles'}`, thumbnail?.arranged]
                  .filter(Boolean)
                  .join(' · ')}{' '}
            · {changed}
          </p>
        </div>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger asChild>
            <SignButton name={`Actions for ${name}`} className="relative z-10 ml-auto">
              <MoreHorizontal size={17} aria-hidden />
            </SignButton>
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content align="end" sideOffset={4} className={`z-40 min-w-[150px] ${MENU}`}>
              <DropdownMenu.Item className={MENU_ITEM} onSelect={() => setAsking(true)}>
                Delete…
              </DropdownMenu.Item>
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </div>
      <AlertDialog.Root open={asking} onOpenChange={setAsking}>
        <AlertDialog.Portal>
          <AlertDialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
          <AlertDialog.Content
            {...focusBack}
            className="fixed top-1/3 left-1/2 z-50 grid w-[400px] -translate-x-1/2 gap-3 rounded-m bg-raised p-5 shadow-float"
          >
            <AlertDialog.Title className="font-title text-lg font-semibold">
              Delete “{name}”?
            </AlertDialog.Title>
            <AlertDialog.Description className="text-soft">
              All its tiles and revisions are deleted too. This can’t be undone.
            </AlertDialog.Description>
            <div className="flex justify-end gap-2">
              <AlertDialog.Cancel asChild>
                <Button>Cancel</Button>
              </AlertDialog.Cancel>
              <AlertDialog.Action asChild>
                <Button look="solid" onClick={onDelete}>
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
