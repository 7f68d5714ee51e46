import { lazy, Suspense } from 'react';
import { createBrowserRouter, Link, Navigate, Outlet, useParams } from 'react-router';
import { CollectionsScreen } from './features/collections';
import { ComposeScreen } from './features/compose';
import { WidthsScreen } from './features/widths';
import { ExportScreen } from './features/export';
import { Frame, RouteTrouble } from './features/frame';
import { PicturesScreen } from './features/pictures';
import { PreviewScreen } from './features/preview';
import { RecipesScreen } from './features/recipes';

function OpenCollection() {
  const { id = '' } = useParams();
  return (
    <Frame id={id}>
      <Outlet />
    </Frame>
  );
}

const Compose = () => <ComposeScreen id={useParams().id ?? ''} />;
const Widths = () => <WidthsScreen id={useParams().id ?? ''} />;
const LazyCheck = lazy(() => import('./features/check'));
const Check = () => {
  const { id = '' } = useParams();
  return (
    <Suspense fallback={<p className="grid h-full place-content-center text-soft">Opening…</p>}>
      <LazyCheck id={id} />
    </Suspense>
  );
};
const Preview = () => <PreviewScreen id={useParams().id ?? ''} />;
const Export = () => <ExportScreen id={useParams().id ?? ''} />;

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

/** What breaks in one view leaves the others, and says what to do. */
const errorElement = <RouteTrouble />;

export const router = createBrowserRouter([
  { path: '/', element: <CollectionsScreen />, errorElement },
  { path: '/pictures', element: <PicturesScreen />, errorElement },
  { path: '/recipes', element: <RecipesScreen />, errorElement },
  {
    path: '/collections/:id',
    element: <OpenCollection />,
    errorElement,
    children: [
      { index: true, element: <Navigate to="compose" replace /> },
      { path: 'compose', element: <Compose />, errorElement },
      { path: 'widths', element: <Widths />, errorElement },
      { path: 'check', element: <Check />, errorElement },
      { path: 'preview', element: <Preview />, errorElement },
      { path: 'export', element: <Export />, errorElement },
    ],
  },
  { path: '*', element: <NoSuchPage /> },
]);
