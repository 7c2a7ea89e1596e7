/** Written by `./uplandia contract` from openapi.json: what requests may hold. Not to be changed by hand. */

export const AccountRequest = {
  name: { longest: 80 },
} as const;

export const CardRequest = {
  front: { longest: 20000 },
  back: { longest: 20000 },
  sitting: { longest: 64 },
  position: { least: 0, most: 9999 },
  section: { longest: 100 },
} as const;

export const CardsBroughtRequest = {
  text: { longest: 2000000 },
} as const;

export const CardsRequest = {
  words: { longest: 200 },
  section: { longest: 100 },
  page: { least: 1, most: 10000 },
} as const;

export const CloseWordsRequest = {
  words: { longest: 200 },
} as const;

export const ConfirmRequest = {
  token: { longest: 4000 },
  password: { shortest: 10, longest: 200 },
} as const;

export const DeleteAccountRequest = {
  current_password: { longest: 500 },
} as const;

export const DemoSignInRequest = {
  person: { longest: 60 },
} as const;

export const EventsRequest = {
  tab: { longest: 64 },
  after: { least: 0, most: 100000000 },
  awakeSince: { least: 0 },
  awake: { many: 500 },
  events: { many: 500 },
} as const;

export const ExposuresRequest = {
  positions: { many: 500 },
} as const;

export const ForgotRequest = {
  email: { longest: 255 },
} as const;

export const GapsRequest = {
  topic: { longest: 100 },
  section: { longest: 100 },
  page: { least: 1, most: 10000 },
} as const;

export const HandbookSearchRequest = {
  words: { longest: 200 },
} as const;

export const HighlightsRequest = {
  highlights: { many: 200 },
} as const;

export const JoinRequest = {
  code: { longest: 60 },
} as const;

export const LookRequest = {
  id: { longest: 64 },
  grade: { least: 1, most: 4 },
} as const;

export const MetRequest = {
  words: { longest: 200 },
  topic: { longest: 100 },
  page: { least: 1, most: 10000 },
} as const;

export const NameRequest = {
  name: { longest: 120 },
} as const;

export const NextRequest = {
  tab: { longest: 64 },
  after: { least: 0, most: 100 },
  awakeSince: { least: 0, most: 9007199254740991 },
} as const;

export const NoteRequest = {
  note: { longest: 2000 },
} as const;

export const OneSectionRequest = {
  section: { longest: 100 },
} as const;

export const OpenRequest = {
  tab: { longest: 64 },
  awake: { many: 500 },
  events: { many: 500 },
} as const;

export const PackRequest = {
  tab: { longest: 64 },
} as const;

export const PasswordRequest = {
  current_password: { longest: 500 },
  password: { shortest: 10, longest: 200 },
} as const;

export const PickRequest = {
  page: { least: 1, most: 10000 },
} as const;

export const PlanRequest = {
  hoursWeek: { least: 0.5, most: 80 },
  weekdaysOff: { many: 6 },
  datesOff: { many: 366 },
} as const;

export const ReadingRequest = {
  step: { least: 0, most: 99 },
  reader: { longest: 64 },
  turn: { least: 0, most: 1000000 },
} as const;

export const RecipeRequest = {
  words: { longest: 200 },
  count: { least: 1, most: 500 },
  minutes: { least: 1, most: 600 },
  secondsEach: { least: 5, most: 3600 },
  name: { longest: 120 },
} as const;

export const RegisterRequest = {
  name: { longest: 80 },
  email: { longest: 255 },
} as const;

export const ReserveRequest = {
  minutes: { least: 0, most: 600 },
} as const;

export const ResetRequest = {
  token: { longest: 255 },
  email: { longest: 255 },
  password: { shortest: 10, longest: 200 },
} as const;

export const RevisitWordRequest = {
  days: { least: 1, most: 365 },
} as const;

export const RevisitsRequest = {
  page: { least: 1, most: 10000 },
} as const;

export const ScratchRequest = {
  words: { longest: 20000 },
} as const;

export const SessionRequest = {
  count: { least: 1, most: 100 },
} as const;

export const SignInRequest = {
  email: { longest: 255 },
  password: { longest: 500 },
} as const;

export const TestNoteRequest = {
  title: { longest: 120 },
  note: { longest: 5000 },
} as const;

export const TestsRequest = {
  search: { longest: 200 },
  page: { least: 1, most: 10000 },
} as const;

export const WeakSpotsRequest = {
  count: { least: 1, most: 500 },
} as const;

export const WordRequest = {
  body: { longest: 2000 },
} as const;

/** A test that adapts asks at most so many. */
export const ADAPTING = { least: 15, most: 100 } as const;
