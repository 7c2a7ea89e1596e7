import { createBrowserRouter } from 'react-router';
import { Frame, Guarded } from './Frame';
import { Lost, Stumbled } from './Stumbled';

export const router = createBrowserRouter([
  {
    errorElement: <Stumbled />,
    children: [
      { path: '/sign-in', lazy: () => import('./features/account/SignInScreen') },
      { path: '/register', lazy: () => import('./features/account/RegisterScreen') },
      { path: '/welcome', lazy: () => import('./features/account/WelcomeScreen') },
      { path: '/forgot', lazy: () => import('./features/account/ForgotScreen') },
      { path: '/new-password', lazy: () => import('./features/account/NewPasswordScreen') },
      {
        element: <Guarded />,
        children: [
          { path: '/sit/:sitting', lazy: () => import('./features/sitting/SittingScreen') },
          {
            element: <Frame />,
            children: [
              { path: '/', lazy: () => import('./features/today/TodayScreen') },
              { path: '/build', lazy: () => import('./features/assembly/BuildScreen') },
              { path: '/briefing/:sitting', lazy: () => import('./features/sitting/BriefingScreen') },
              { path: '/result/:sitting', lazy: () => import('./features/result/ResultScreen') },
              { path: '/review/:sitting/:position?', lazy: () => import('./features/result/ReviewScreen') },
              { path: '/handbook/:exam?/:section?', lazy: () => import('./features/handbook/HandbookScreen') },
              { path: '/account', lazy: () => import('./features/account/AccountScreen') },
              { path: '/pieces', lazy: () => import('./features/pieces/PiecesScreen') },
              { path: '*', element: <Lost /> },
            ],
          },
        ],
      },
    ],
  },
]);
