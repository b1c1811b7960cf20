import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { Shell } from './app/Shell.tsx';
import { NotHere } from './app/NotHere.tsx';
import './index.css';
import { BaysPage } from './screens/bays/BaysPage.tsx';
import { JobCardPage } from './screens/job/JobCardPage.tsx';
import { JobPage } from './screens/job/JobPage.tsx';
import { MachinePage } from './screens/machines/MachinePage.tsx';
import { MachinesPage } from './screens/machines/MachinesPage.tsx';
import { NewMachinePage } from './screens/machines/NewMachinePage.tsx';
import { NewJobPage } from './screens/newJob/NewJobPage.tsx';
import { YardPage } from './screens/yard/YardPage.tsx';
import { ShopPage } from './screens/shop/ShopPage.tsx';

const router = createBrowserRouter([
  {
    path: '/',
    element: <Shell />,
    errorElement: <NotHere />,
    HydrateFallback: () => null,
    children: [
      { index: true, element: <BaysPage /> },
      { path: 'new', element: <NewJobPage /> },
      { path: 'jobs/:id', element: <JobPage /> },
      { path: 'jobs/:id/card', element: <JobCardPage /> },
      { path: 'jobs/:id/yard', element: <YardPage /> },
      { path: 'jobs/:id/:stage', element: <JobPage /> },
      { path: 'machines', element: <MachinesPage /> },
      { path: 'machines/new', element: <NewMachinePage /> },
      { path: 'machines/:id', element: <MachinePage /> },
      { path: 'shop', element: <ShopPage /> },
      { path: '*', element: <NotHere /> },
    ],
  },
]);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <RouterProvider router={router} />
  </StrictMode>,
);
