import { StrictMode, type ComponentType } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { Shell } from './app/Shell.tsx';
import { NotHere } from './app/NotHere.tsx';
import { WentWrong } from './app/WentWrong.tsx';
import './index.css';
import { installable } from './offline/installable.ts';
import { BaysPage } from './screens/bays/BaysPage.tsx';

/** A screen that is fetched when it is first opened. */
const screen =
  <K extends string>(load: () => Promise<Record<K, ComponentType>>, name: K) =>
  async () => ({ Component: (await load())[name] });
const job = screen(() => import('./screens/job/JobPage.tsx'), 'JobPage');

const router = createBrowserRouter([
  {
    path: '/',
    element: <Shell />,
    errorElement: <WentWrong />,
    HydrateFallback: () => null,
    children: [
      { index: true, element: <BaysPage /> },
      { path: 'new', lazy: screen(() => import('./screens/newJob/NewJobPage.tsx'), 'NewJobPage') },
      { path: 'jobs/:id', lazy: job },
      { path: 'jobs/:id/card', lazy: screen(() => import('./screens/job/JobCardPage.tsx'), 'JobCardPage') },
      { path: 'jobs/:id/sheet', lazy: screen(() => import('./screens/job/SheetPage.tsx'), 'SheetPage') },
      { path: 'jobs/:id/yard', lazy: screen(() => import('./screens/yard/YardPage.tsx'), 'YardPage') },
      { path: 'jobs/:id/:stage', lazy: job },
      { path: 'machines', lazy: screen(() => import('./screens/machines/MachinesPage.tsx'), 'MachinesPage') },
      { path: 'machines/new', lazy: screen(() => import('./screens/machines/NewMachinePage.tsx'), 'NewMachinePage') },
      { path: 'machines/:id', lazy: screen(() => import('./screens/machines/MachinePage.tsx'), 'MachinePage') },
      { path: 'machines/:id/flags', lazy: screen(() => import('./screens/book/FlagsPage.tsx'), 'FlagsPage') },
      { path: 'machines/:id/fit', lazy: screen(() => import('./screens/fit/FitPage.tsx'), 'FitPage') },
      { path: 'machines/:id/drawing', lazy: screen(() => import('./screens/drawing/DrawingPage.tsx'), 'DrawingPage') },
      { path: 'practice', lazy: screen(() => import('./screens/practice/PracticePage.tsx'), 'PracticePage') },
      { path: 'practice/:id', lazy: screen(() => import('./screens/practice/LessonPage.tsx'), 'LessonPage') },
      { path: 'tape', lazy: screen(() => import('./screens/setUp/TapePage.tsx'), 'TapePage') },
      { path: 'shop', lazy: screen(() => import('./screens/shop/ShopPage.tsx'), 'ShopPage') },
      { path: 'waiting', lazy: screen(() => import('./screens/waiting/WaitingPage.tsx'), 'WaitingPage') },
      { path: '*', element: <NotHere /> },
    ],
  },
]);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <RouterProvider router={router} />
  </StrictMode>,
);
installable();
