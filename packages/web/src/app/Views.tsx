import { lazy, Suspense, type ComponentType, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter, Link, Navigate, Route, Routes } from 'react-router';
import { workspace } from '../api/workspace';
import { ViewTrouble } from '../editor/frame/ViewTrouble';
import { Opening } from '../ui/Opening';

/** A view, whose script comes when it is gone to; what breaks in it leaves the others, and says what to do. */
function view(read: () => Promise<ComponentType>): ReactNode {
  const View = lazy(async () => ({ default: await read() }));
  return (
    <ErrorBoundary FallbackComponent={ViewTrouble} onError={(error) => console.error(error)}>
      <View />
    </ErrorBoundary>
  );
}

const collections = view(() =>
  import('../screens/collections/CollectionsScreen').then((file) => file.CollectionsScreen),
);
const pictures = view(() => import('../screens/pictures/PicturesScreen').then((file) => file.PicturesScreen));
const recipes = view(() => import('../screens/recipes/RecipesScreen').then((file) => file.RecipesScreen));

const readFrame = () => import('../editor/frame/Frame').then((file) => file.Frame);
/** The views of one collection, by the end of their address. */
const OF_ONE: Readonly<Record<string, () => Promise<ComponentType>>> = {
  compose: () => import('../screens/compose/ComposeScreen').then((file) => file.ComposeScreen),
  widths: () => import('../screens/widths/WidthsScreen').then((file) => file.WidthsScreen),
  check: () => import('../screens/check/CheckScreen').then((file) => file.CheckScreen),
  preview: () => import('../screens/preview/PreviewScreen').then((file) => file.PreviewScreen),
  export: () => import('../screens/export/ExportScreen').then((file) => file.ExportScreen),
};
const frame = view(readFrame);
const ofOne = Object.entries(OF_ONE).map(([path, read]) => (
  <Route key={path} path={path} element={view(read)} />
));

/** What the address asks for is fetched at once: its frame first shows when the collection has come. */
const [, , place, , wanted = ''] = globalThis.location.pathname.split('/');
if (place === 'collections') {
  for (const read of [readFrame, OF_ONE[wanted]]) read?.().catch(() => undefined);
}

function NoSuchPage() {
  return (
    <main className="grid h-full place-content-center justify-items-center gap-3">
      <h1 className="font-title text-lg font-semibold">There is nothing at this address</h1>
      <Link to="/" className="text-copper-ink underline">
        All collections
      </Link>
    </main>
  );
}

/** The views of the workspace that the address names. The one before stays until the next one is there. */
export const Views = () => (
  <BrowserRouter basename={`/${workspace()}`}>
    <Suspense fallback={<Opening />}>
      <Routes>
        <Route index element={collections} />
        <Route path="pictures" element={pictures} />
        <Route path="recipes" element={recipes} />
        <Route path="collections/:id" element={frame}>
          <Route index element={<Navigate to="compose" replace />} />
          {ofOne}
        </Route>
        <Route path="*" element={<NoSuchPage />} />
      </Routes>
    </Suspense>
  </BrowserRouter>
);
