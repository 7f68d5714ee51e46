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
const frame = view(() => import('../editor/frame/Frame').then((file) => file.Frame));
const compose = view(() => import('../screens/compose/ComposeScreen').then((file) => file.ComposeScreen));
const widths = view(() => import('../screens/widths/WidthsScreen').then((file) => file.WidthsScreen));
const check = view(() => import('../screens/check/CheckScreen').then((file) => file.CheckScreen));
const preview = view(() => import('../screens/preview/PreviewScreen').then((file) => file.PreviewScreen));
const exporting = view(() => import('../screens/export/ExportScreen').then((file) => file.ExportScreen));

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
          <Route path="compose" element={compose} />
          <Route path="widths" element={widths} />
          <Route path="check" element={check} />
          <Route path="preview" element={preview} />
          <Route path="export" element={exporting} />
        </Route>
        <Route path="*" element={<NoSuchPage />} />
      </Routes>
    </Suspense>
  </BrowserRouter>
);
