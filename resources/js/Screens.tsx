import { lazy, Suspense, type ComponentType } from 'react';
import { BrowserRouter, Route, Routes, useLocation } from 'react-router';
import { Guarded } from './Guarded';
import { Boundary, Lost } from './Stumbled';
import { Loading } from './ui/Loading';

/** A screen that is fetched when somebody goes there. */
function screen(load: () => Promise<{ Component: ComponentType }>) {
  return lazy(async () => ({ default: (await load()).Component }));
}

const Frame = screen(() => import('./Frame'));
const SignIn = screen(() => import('./features/account/SignInScreen'));
const Register = screen(() => import('./features/account/RegisterScreen'));
const Welcome = screen(() => import('./features/account/WelcomeScreen'));
const Forgot = screen(() => import('./features/account/ForgotScreen'));
const NewPassword = screen(() => import('./features/account/NewPasswordScreen'));
const TryOut = screen(() => import('./features/sitting/tryout/TryOutScreen'));
const Sitting = screen(() => import('./features/sitting/SittingScreen'));
const Today = screen(() => import('./features/today/TodayScreen'));
const Build = screen(() => import('./features/assembly/BuildScreen'));
const Ready = screen(() => import('./features/assembly/ReadyScreen'));
const Exam = screen(() => import('./features/assembly/ExamScreen'));
const Tests = screen(() => import('./features/assembly/TestsScreen'));
const Booklet = screen(() => import('./features/assembly/BookletScreen'));
const Answers = screen(() => import('./features/assembly/AnswersScreen'));
const Briefing = screen(() => import('./features/sitting/BriefingScreen'));
const Result = screen(() => import('./features/result/ResultScreen'));
const Review = screen(() => import('./features/result/ReviewScreen'));
const Against = screen(() => import('./features/result/AgainstScreen'));
const Plan = screen(() => import('./features/plan/PlanScreen'));
const GapBook = screen(() => import('./features/revisit/GapBookScreen'));
const GapSheet = screen(() => import('./features/revisit/GapSheetScreen'));
const Revisits = screen(() => import('./features/revisit/RevisitsScreen'));
const Cards = screen(() => import('./features/revisit/CardsScreen'));
const CardSession = screen(() => import('./features/revisit/CardSessionScreen'));
const Library = screen(() => import('./features/library/LibraryScreen'));
const Progress = screen(() => import('./features/progress/ProgressScreen'));
const Handbook = screen(() => import('./features/handbook/HandbookScreen'));
const Account = screen(() => import('./features/account/AccountScreen'));
const MyData = screen(() => import('./features/mydata/MyDataScreen'));
const Pieces = screen(() => import('./features/pieces/PiecesScreen'));

export function Screens() {
  return (
    <BrowserRouter>
      <Caught />
    </BrowserRouter>
  );
}

function Caught() {
  const { pathname } = useLocation();
  return (
    <Boundary place={pathname}>
      <Suspense fallback={<Loading />}>
        <Routes>
          <Route path="/sign-in" element={<SignIn />} />
          <Route path="/register" element={<Register />} />
          <Route path="/welcome" element={<Welcome />} />
          <Route path="/forgot" element={<Forgot />} />
          <Route path="/new-password" element={<NewPassword />} />
          <Route element={<Guarded />}>
            <Route path="/sit/:sitting" element={<Sitting />} />
            <Route path="/try/:sitting" element={<TryOut />} />
            <Route path="/print/:sitting" element={<Booklet />} />
            <Route path="/gaps/sheet" element={<GapSheet />} />
            <Route element={<Frame />}>
              <Route path="/" element={<Today />} />
              <Route path="/build" element={<Build />} />
              <Route path="/ready" element={<Ready />} />
              <Route path="/exam" element={<Exam />} />
              <Route path="/tests" element={<Tests />} />
              <Route path="/answers/:sitting" element={<Answers />} />
              <Route path="/briefing/:sitting" element={<Briefing />} />
              <Route path="/result/:sitting" element={<Result />} />
              <Route path="/review/:sitting/:position?" element={<Review />} />
              <Route path="/against/:sitting/:other" element={<Against />} />
              <Route path="/gaps" element={<GapBook />} />
              <Route path="/revisits" element={<Revisits />} />
              <Route path="/cards" element={<Cards />} />
              <Route path="/cards/session" element={<CardSession />} />
              <Route path="/library" element={<Library />} />
              <Route path="/plan" element={<Plan />} />
              <Route path="/progress" element={<Progress />} />
              <Route path="/handbook/:exam?/:section?" element={<Handbook />} />
              <Route path="/account" element={<Account />} />
              <Route path="/account/my-data" element={<MyData />} />
              <Route path="/pieces" element={<Pieces />} />
              <Route path="*" element={<Lost />} />
            </Route>
          </Route>
        </Routes>
      </Suspense>
    </Boundary>
  );
}
