import CssBaseline from '@mui/material/CssBaseline'
import { ThemeProvider } from '@mui/material/styles'
import { lazy, type ReactNode, Suspense, useLayoutEffect, useMemo } from 'react'
import { Navigate, Route, Routes, useLocation } from 'react-router'
import { TodayPage } from './features/delivery/today/TodayPage'
import { usePhrases } from './features/drill/queries'
import { CoachFrame } from './features/frame/CoachFrame'
import { NewVersion } from './features/frame/NewVersion'
import { BEGINS_AT, languageOf, useSession } from './features/people/session'
import { begun } from './storage/glimpse'
import { look, useRemembered } from './storage/remembered'
import { Fallen } from './ui/Fallen'
import { InLanguage } from './ui/InLanguage'
import { ErrorNote, Loading } from './ui/notes'
import { type Look, themeOf } from './ui/theme'

// What the session begins with comes at once; everything else when it is asked for.
const SignIn = lazy(() => import('./features/people/SignIn').then((m) => ({ default: m.SignIn })))
const WeeksPage = lazy(() =>
  import('./features/delivery/weeks/WeeksPage').then((m) => ({ default: m.WeeksPage })),
)
const SquadPage = lazy(() =>
  import('./features/assessment/squad/SquadPage').then((m) => ({ default: m.SquadPage })),
)
const TestPage = lazy(() =>
  import('./features/assessment/test/TestPage').then((m) => ({ default: m.TestPage })),
)
const TestSession = lazy(() =>
  import('./features/assessment/test/TestSession').then((m) => ({ default: m.TestSession })),
)
const DirectorFrame = lazy(() =>
  import('./features/frame/DirectorFrame').then((m) => ({ default: m.DirectorFrame })),
)
const NewCurriculum = lazy(() =>
  import('./features/plan/NewCurriculum').then((m) => ({ default: m.NewCurriculum })),
)
const PlanPage = lazy(() => import('./features/plan/PlanPage').then((m) => ({ default: m.PlanPage })))
const ChangePage = lazy(() => import('./features/season/ChangePage').then((m) => ({ default: m.ChangePage })))
const YearPage = lazy(() => import('./features/season/YearPage').then((m) => ({ default: m.YearPage })))
const DrillsPage = lazy(() => import('./features/drill/DrillsPage').then((m) => ({ default: m.DrillsPage })))
const DrillDesk = lazy(() => import('./features/drill/DrillDesk').then((m) => ({ default: m.DrillDesk })))
const ProgressionsPage = lazy(() =>
  import('./features/progression/ProgressionsPage').then((m) => ({ default: m.ProgressionsPage })),
)
const BeginPage = lazy(() => import('./features/people/BeginPage').then((m) => ({ default: m.BeginPage })))
const BeginningPage = lazy(() =>
  import('./features/academy/beginning/BeginningPage').then((m) => ({ default: m.BeginningPage })),
)
const QuestionsPage = lazy(() =>
  import('./features/drill/QuestionsPage').then((m) => ({ default: m.QuestionsPage })),
)
const BandsPage = lazy(() =>
  import('./features/academy/bands/BandsPage').then((m) => ({ default: m.BandsPage })),
)
const StandardsPage = lazy(() =>
  import('./features/assessment/standards/StandardsPage').then((m) => ({ default: m.StandardsPage })),
)
const SessionsPage = lazy(() =>
  import('./features/delivery/sessions/SessionsPage').then((m) => ({ default: m.SessionsPage })),
)
const TimesPage = lazy(() =>
  import('./features/academy/times/TimesPage').then((m) => ({ default: m.TimesPage })),
)
const ClubListPage = lazy(() =>
  import('./features/academy/clubs/ClubListPage').then((m) => ({ default: m.ClubListPage })),
)
const ClubsPage = lazy(() =>
  import('./features/academy/clubs/ClubsPage').then((m) => ({ default: m.ClubsPage })),
)
const AccountPage = lazy(() =>
  import('./features/people/AccountPage').then((m) => ({ default: m.AccountPage })),
)
const AuditPage = lazy(() => import('./features/people/AuditPage').then((m) => ({ default: m.AuditPage })))
const PasswordPage = lazy(() =>
  import('./features/people/PasswordPage').then((m) => ({ default: m.PasswordPage })),
)
const JoinPage = lazy(() => import('./features/people/JoinPage').then((m) => ({ default: m.JoinPage })))
const HandoutPage = lazy(() =>
  import('./features/delivery/home/HandoutPage').then((m) => ({ default: m.HandoutPage })),
)
const HomePage = lazy(() =>
  import('./features/delivery/home/HomePage').then((m) => ({ default: m.HomePage })),
)
const OutboxPage = lazy(() => import('./features/post/OutboxPage').then((m) => ({ default: m.OutboxPage })))
const SquadOfTeam = lazy(() =>
  import('./features/assessment/squad/SquadOfTeam').then((m) => ({ default: m.SquadOfTeam })),
)
const PlayerOfTeam = lazy(() =>
  import('./features/assessment/squad/SquadOfTeam').then((m) => ({ default: m.PlayerOfTeam })),
)
const PlayerPage = lazy(() =>
  import('./features/assessment/squad/PlayerPage').then((m) => ({ default: m.PlayerPage })),
)
const PrintProgress = lazy(() =>
  import('./features/assessment/squad/PrintProgress').then((m) => ({ default: m.PrintProgress })),
)
const PrintTest = lazy(() =>
  import('./features/assessment/test/PrintTest').then((m) => ({ default: m.PrintTest })),
)
const PrintHome = lazy(() =>
  import('./features/delivery/home/PrintHome').then((m) => ({ default: m.PrintHome })),
)
const BookPage = lazy(() => import('./features/plan/book/BookPage').then((m) => ({ default: m.BookPage })))
const PrintSession = lazy(() =>
  import('./features/delivery/print/PrintPages').then((m) => ({ default: m.PrintSession })),
)
const PrintWeek = lazy(() =>
  import('./features/delivery/print/PrintPages').then((m) => ({ default: m.PrintWeek })),
)
const LevelsPage = lazy(() =>
  import('./features/assessment/levels/LevelsPage').then((m) => ({ default: m.LevelsPage })),
)

export function App() {
  const [mode, setMode] = useRemembered(look)
  const theme = useMemo(() => themeOf(mode), [mode])
  useLayoutEffect(begun, [])
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline />
      <NewVersion />
      <Suspense fallback={<Loading />}>
        <Fallen place="app">
          <InOwnLanguage>
            <Pages look={{ mode, setMode }} />
          </InOwnLanguage>
        </Fallen>
      </Suspense>
    </ThemeProvider>
  )
}

/** Screens are in the reader's language, and what is printed is in the academy's. */
function InOwnLanguage({ children }: { children: ReactNode }) {
  const { data: session } = useSession()
  const { pathname } = useLocation()
  const onPaper = pathname.startsWith('/print/')
  const language = onPaper && session ? session.academy_language : languageOf(session)
  const ofPlayers = /^\/home\/([^/]+)/.exec(pathname)?.[1]
  const phrases = usePhrases(language, ofPlayers, Boolean(session))
  return (
    <InLanguage language={language} phrases={phrases.data}>
      {children}
    </InLanguage>
  )
}

/** Where an address of an earlier version leads today. */
const movedTo = (pathname: string) =>
  pathname
    .replace(/^\/tonight(?=\/|$)/, '/today')
    .replace(/^\/evenings(?=\/|$)/, '/sessions')
    .replace(/^\/print\/passports(?=\/|$)/, '/print/progress')

/** These ask nobody who they are. */
const OpenPages = () => (
  <Routes>
    <Route path="/join/:token" element={<JoinPage />} />
    <Route path="/begin/:secret" element={<BeginPage />} />
    <Route path="/home/:token" element={<HomePage />} />
    <Route path="/password/:token" element={<PasswordPage />} />
  </Routes>
)

/** What is printed. */
const ofTheYear = (
  <>
    <Route path="/year/:season?" element={<YearPage />} />
    <Route path="/year/:season/change" element={<ChangePage />} />
  </>
)

const onPaper = (
  <>
    <Route path="/print/session/:team/:edition/:session" element={<PrintSession />} />
    <Route path="/print/week/:club/:day" element={<PrintWeek />} />
    <Route path="/print/book" element={<BookPage />} />
    <Route path="/print/home/:team" element={<PrintHome />} />
    <Route path="/print/progress/:team" element={<PrintProgress />} />
    <Route path="/print/test/:team/:test" element={<PrintTest />} />
  </>
)

/** Clubs, and when and where their teams train. */
const clubs = (editable: boolean) => (
  <>
    <Route path="/clubs" element={<ClubsPage editable={editable} />} />
    <Route path="/clubs/:club/times" element={<TimesPage />} />
  </>
)

function Pages({ look }: { look: Look }) {
  const session = useSession()
  const { pathname, search } = useLocation()
  if (/^\/(join|home|begin|password)\/./.test(pathname)) return <OpenPages />
  const today = movedTo(pathname)
  if (today !== pathname) return <Navigate to={today + search} replace />
  if (session.isPending) return <Loading />
  if (session.isError && session.data === undefined) return <ErrorNote error={session.error} />
  if (!session.data) return <SignIn />
  const account = <Route path="/account" element={<AccountPage session={session.data} />} />
  const squads = (
    <>
      <Route path="/squads/:team" element={<SquadOfTeam />} />
      <Route path="/squads/:team/:player" element={<PlayerOfTeam />} />
    </>
  )
  if (session.data.second_factor_first) {
    return (
      <Routes>
        <Route element={<DirectorFrame session={session.data} look={look} />}>
          {account}
          <Route path="*" element={<Navigate to="/account" replace />} />
        </Route>
      </Routes>
    )
  }
  if (session.data.role === 'director') {
    return (
      <Routes>
        {onPaper}
        <Route element={<DirectorFrame session={session.data} look={look} />}>
          {account}
          <Route path="/drills" element={<DrillsPage editable />} />
          <Route path="/drills/bands" element={<BandsPage />} />
          <Route path="/drills/questions" element={<QuestionsPage />} />
          <Route path="/drills/:id" element={<DrillDesk editable />} />
          <Route path="/progressions" element={<ProgressionsPage />} />
          <Route path="/standards/:test?" element={<StandardsPage />} />
          {ofTheYear}
          <Route path="/plan" element={<PlanPage />} />
          <Route path="/plan/new" element={<NewCurriculum />} />
          <Route path="/plan/:id" element={<PlanPage />} />
          <Route path="/sessions" element={<SessionsPage />} />
          <Route path="/levels" element={<LevelsPage />} />
          <Route path="/clubs/list" element={<ClubListPage />} />
          {clubs(true)}
          <Route path="/begin" element={<BeginningPage />} />
          {squads}
          <Route path="/outbox" element={<OutboxPage />} />
          <Route path="/audit" element={<AuditPage />} />
          <Route path="*" element={<Navigate to={BEGINS_AT.director} replace />} />
        </Route>
      </Routes>
    )
  }
  const drills = (
    <>
      <Route path="/drills" element={<DrillsPage editable={false} />} />
      <Route path="/drills/:id" element={<DrillDesk editable={false} />} />
    </>
  )
  const coaching = (
    <Route element={<CoachFrame session={session.data} look={look} />}>
      <Route path="/today" element={<TodayPage />} />
      <Route path="/today/:edition/:session" element={<TodayPage />} />
      <Route path="/test" element={<TestPage />} />
      <Route path="/test/:test" element={<TestSession />} />
      <Route path="/squad" element={<SquadPage />} />
      <Route path="/squad/home" element={<HandoutPage />} />
      <Route path="/squad/:player" element={<PlayerPage />} />
      <Route path="/weeks" element={<WeeksPage />} />
      {session.data.role === 'coach' && drills}
      {session.data.role === 'coach' && account}
    </Route>
  )
  if (session.data.role === 'club_lead') {
    return (
      <Routes>
        {onPaper}
        <Route element={<DirectorFrame session={session.data} look={look} />}>
          {drills}
          {account}
          <Route path="/sessions" element={<SessionsPage />} />
          <Route path="/levels" element={<LevelsPage />} />
          {clubs(false)}
          {squads}
          <Route path="*" element={<Navigate to={BEGINS_AT.club_lead} replace />} />
        </Route>
        {coaching}
      </Routes>
    )
  }
  return (
    <Routes>
      {onPaper}
      {coaching}
      <Route path="*" element={<Navigate to={BEGINS_AT.coach} replace />} />
    </Routes>
  )
}
