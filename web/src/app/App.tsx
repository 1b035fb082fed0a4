import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { BenchContext } from '../state/bench';
import { bench } from './stages';
import { lazy, Suspense, useMemo } from 'react';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { FirstPage } from './FirstPage';
import { NewVersion } from './NewVersion';
import { PageFailed } from './PageFailed';
import { ProjectPage } from './ProjectPage';
import { ProjectsPage } from './ProjectsPage';
import { useAppSelector } from '../state/store';
import { makeTheme } from './theme';

/** Comes when it is first opened. */
const ShopPage = lazy(() => import('./shop/ShopPage'));

const router = createBrowserRouter([
  {
    errorElement: <PageFailed />,
    children: [
      { path: '/', element: <FirstPage /> },
      { path: '/projects', element: <ProjectsPage /> },
      {
        path: '/project/:projectId/shop',
        element: (
          <Suspense fallback={null}>
            <ShopPage />
          </Suspense>
        ),
      },
      { path: '/project/:projectId/:stage?', element: <ProjectPage /> },
      { path: '*', element: <FirstPage /> },
    ],
  },
]);

export function App() {
  const shade = useAppSelector((state) => state.screen.shade);
  const theme = useMemo(() => makeTheme(shade), [shade]);
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline />
      <BenchContext value={bench}>
        <RouterProvider router={router} />
        <NewVersion />
      </BenchContext>
    </ThemeProvider>
  );
}
