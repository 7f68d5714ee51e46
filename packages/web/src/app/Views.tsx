import { Suspense, type ComponentType, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter, Link, Navigate, Route, Routes } from 'react-router';
import { askAhead } from '../api/ahead';
import { collectionPath } from '../api/listedCollections';
import { workspace } from '../api/workspace';
import { ViewTrouble } from '../editor/frame/ViewTrouble';
import { view } from '../ui/lazily';
import { Opening } from '../ui/Opening';

/** What breaks in a view leaves the others, and says what to do. */
const bounded = (View: ComponentType): ReactNode => (
  <ErrorBoundary FallbackComponent={ViewTrouble} onError={(error) => console.error(error)}>
    <View />
  </ErrorBoundary>
);

const collections = view(() =>
  import('../screens/collections/CollectionsScreen').then((file) => file.CollectionsScreen),
);
const open = view(() => import('../screens/open/OpenScreen').then((file) => file.OpenScreen));
const pictures = view(() => import('../screens/pictures/PicturesScreen').then((file) => file.PicturesScreen));
const fonts = view(() => import('../screens/fonts/FontsScreen').then((file) => file.FontsScreen));
const recipes = view(() => import('../screens/recipes/RecipesScreen').then((file) => file.RecipesScreen));

const frame = view(() => import('../editor/frame/Frame').then((file) => file.Frame));
/** The views of one collection, by the end of their address. */
const OF_ONE: Readonly<Record<string, ReturnType<typeof view>>> = {
  compose: view(() => import('../screens/compose/ComposeScreen').then((file) => file.ComposeScreen)),
  widths: view(() => import('../screens/widths/WidthsScreen').then((file) => file.WidthsScreen)),
  check: view(() => import('../screens/check/CheckScreen').then((file) => file.CheckScreen)),
  preview: view(() => import('../screens/preview/PreviewScreen').then((file) => file.PreviewScreen)),
  export: view(() => import('../screens/export/ExportScreen').then((file) => file.ExportScreen)),
};
const ofOne = Object.entries(OF_ONE).map(([path, { Part }]) => (
  <Route key={path} path={path} element={bounded(Part)} />
));

/** The views that show the page with hands on it. */
const WITH_HANDS = ['compose', 'widths'];

/** What the address asks for is fetched at once: the collection, its frame, its view and what comes beside it. */
const [, , place, id, wanted = ''] = globalThis.location.pathname.split('/');
if (place === 'collections' && id) {
  askAhead(collectionPath(decodeURIComponent(id)));
  void frame.fetch();
  void OF_ONE[wanted]?.fetch();
  if (WITH_HANDS.includes(wanted)) import('../editor/besideParts').catch(() => undefined);
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
        <Route index element={bounded(collections.Part)} />
        <Route path="open" element={bounded(open.Part)} />
        <Route path="pictures" element={bounded(pictures.Part)} />
        <Route path="fonts" element={bounded(fonts.Part)} />
        <Route path="recipes" element={bounded(recipes.Part)} />
        <Route path="collections/:id" element={bounded(frame.Part)}>
          <Route index element={<Navigate to="compose" replace />} />
          {ofOne}
        </Route>
        <Route path="*" element={<NoSuchPage />} />
      </Routes>
    </Suspense>
  </BrowserRouter>
);
