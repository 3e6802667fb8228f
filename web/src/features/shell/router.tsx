import { createBrowserRouter, Navigate } from 'react-router';
import { Entrance } from './Entrance';
import { Lost, PlaceFailed } from './Lost';
import { Shell } from './Shell';

/** Every place has an address; the heavier ones come when they are first visited, and each fails alone. */
export const router = createBrowserRouter([
  {
    element: <Entrance />,
    children: [
      { path: 'in', lazy: async () => ({ Component: (await import('../devices/ComeIn')).ComeIn }) },
      {
        path: 'wall',
        errorElement: <PlaceFailed />,
        lazy: async () => ({ Component: (await import('../wall/Wall')).Wall }),
      },
      {
        element: <Shell />,
        children: [
          {
            errorElement: <PlaceFailed />,
            children: [
              { index: true, element: <Navigate to="/match" replace /> },
              { path: 'match', lazy: async () => ({ Component: (await import('../match/Match')).Match }) },
              { path: 'match/buy', lazy: async () => ({ Component: (await import('../match/Buy')).Buy }) },
              {
                path: 'match/cuts',
                lazy: async () => ({ Component: (await import('../match/CutsPlace')).CutsPlace }),
              },
              { path: 'prepare', lazy: async () => ({ Component: (await import('../sheet/Meals')).Meals }) },
              {
                path: 'prepare/:planId',
                lazy: async () => ({ Component: (await import('../prepare/PreparePlace')).PreparePlace }),
              },
              { path: 'sheet', lazy: async () => ({ Component: (await import('../sheet/Meals')).Meals }) },
              {
                path: 'sheet/:mealId',
                lazy: async () => ({ Component: (await import('../sheet/MealPlace')).MealPlace }),
              },
              { path: 'cook', lazy: async () => ({ Component: (await import('../cook/Cooks')).Cooks }) },
              {
                path: 'cook/hand-over',
                lazy: async () => ({ Component: (await import('../cook/HandOver')).HandOver }),
              },
              { path: 'night', lazy: async () => ({ Component: (await import('../cook/Night')).Night }) },
              {
                path: 'cook/:cookId',
                lazy: async () => ({ Component: (await import('../cook/CookPlace')).CookPlace }),
              },
              { path: 'finish', lazy: async () => ({ Component: (await import('../cook/Cooks')).Cooks }) },
              {
                path: 'finish/:cookId',
                lazy: async () => ({ Component: (await import('../finish/Finish')).Finish }),
              },
              { path: 'log', lazy: async () => ({ Component: (await import('../log/Log')).Log }) },
              { path: 'log/:cookId', lazy: async () => ({ Component: (await import('../log/Log')).Log }) },
              {
                path: 'kitchen',
                lazy: async () => ({ Component: (await import('../kitchen/KitchenPlace')).KitchenPlace }),
              },
              {
                path: 'devices',
                lazy: async () => ({ Component: (await import('../devices/DevicesPlace')).DevicesPlace }),
              },
              {
                path: 'safety',
                lazy: async () => ({ Component: (await import('../safety/SafetyPlace')).SafetyPlace }),
              },
              { path: 'why', lazy: async () => ({ Component: (await import('../why/WhyPlace')).WhyPlace }) },
              {
                path: 'why/:kind/:id',
                lazy: async () => ({ Component: (await import('../why/WhyPlace')).WhyPlace }),
              },
              { path: '*', element: <Lost /> },
            ],
          },
        ],
      },
    ],
  },
]);
