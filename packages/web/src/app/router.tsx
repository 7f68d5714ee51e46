import type { ComponentType } from 'react';
import { createBrowserRouter, Link, Navigate, type RouteObject } from 'react-router';
import { workspace } from '../api/workspace';
import { Opening } from '../ui/Opening';
import { RouteTrouble } from '../editor/frame/RouteTrouble';

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
const hydrateFallbackElement = <Opening />;

/** A view, whose script comes when it is gone to; the view before stays until it is there. */
const view = (path: string, read: () => Promise<ComponentType>) => ({
  path,
  lazy: async () => ({ Component: await read() }),
  errorElement,
  hydrateFallbackElement,
});

const ROUTES: readonly RouteObject[] = [
  view('/', () => import('../screens/collections/CollectionsScreen').then((file) => file.CollectionsScreen)),
  view('/pictures', () => import('../screens/pictures/PicturesScreen').then((file) => file.PicturesScreen)),
  view('/recipes', () => import('../screens/recipes/RecipesScreen').then((file) => file.RecipesScreen)),
  {
    ...view('/collections/:id', () => import('../editor/frame/Frame').then((file) => file.Frame)),
    children: [
      { index: true, element: <Navigate to="compose" replace /> },
      view('compose', () => import('../screens/compose/ComposeScreen').then((file) => file.ComposeScreen)),
      view('widths', () => import('../screens/widths/WidthsScreen').then((file) => file.WidthsScreen)),
      view('check', () => import('../screens/check/CheckScreen').then((file) => file.CheckScreen)),
      view('preview', () => import('../screens/preview/PreviewScreen').then((file) => file.PreviewScreen)),
      view('export', () => import('../screens/export/ExportScreen').then((file) => file.ExportScreen)),
    ],
  },
  { path: '*', element: <NoSuchPage /> },
];

/** The views of the workspace that the address names. */
export const makeRouter = () => createBrowserRouter([...ROUTES], { basename: `/${workspace()}` });
