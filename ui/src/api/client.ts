import createClient from 'openapi-fetch';
import type { components, paths } from './schema';
import { api as say } from '../words/api';

export type Schemas = components['schemas'];
export type Spot = Schemas['SpotSummary'];
export type SpotDetail = Schemas['SpotOutputBody'];
export type SpotState = Schemas['State'];
export type RibbonData = Schemas['Ribbon'];
export type Frame = Schemas['Frame'];
export type Advice = Schemas['Advice'];
export type Choice = Schemas['ChoiceOut'];
export type Reason = Schemas['ReasonOut'];
export type Condition = Schemas['Condition'];
export type ReadingIn = Schemas['ReadingIn'];
export type Bylaw = Schemas['BylawOut'];
export type Verdict = Schemas['KeepOut'];
export type Spell = Schemas['SpellOut'];
export type SpellIn = Schemas['SpellInputBody'];
export type Target = Schemas['TargetOut'];
export type Window = Schemas['WindowOut'];
export type Station = Schemas['StationOut'];
export type Sheet = Schemas['Sheet'];
export type SpotTide = Schemas['SpotTideOutputBody'];
export type Comparison = Schemas['CompareOutputBody'];
export type LogRead = Schemas['LogOutputBody'];
export type Chart = Schemas['ChartOutputBody'];
export type ChartSpot = Schemas['ChartSpot'];
export type Water = Schemas['WaterOut'];
export type Zone = Schemas['ZoneOut'];
export type ZoneIn = Schemas['ZoneInputBody'];
export type LatLon = Schemas['LatLon'];
export type Find = Schemas['FindOut'];
export type Visit = Schemas['VisitOut'];
export type SpotBody = Schemas['SpotBody'];
export type SectionPoint = Schemas['SectionPoint'];
export type Surf = Schemas['SurfOutputBody'];
export type Words = Schemas['WordsOutputBody'];
export type ReadFeatures = Schemas['ReadFeaturesOutputBody'];
export type ImportPlan = Schemas['ImportOutputBody'];
export type Formats = Schemas['FormatsOutputBody'];
export type ImportQuery = paths['/v1/interchange/import']['post']['parameters']['query'];
/** What one asks of the windows of the coming days. */
export type AheadQuery = NonNullable<paths['/v1/ahead/windows']['get']['parameters']['query']>;
/** Who comes along, as far as it narrows where one goes. */
export type Along = NonNullable<AheadQuery['along']>[number];
export type AheadData = Schemas['Ahead'];
export type DayPlan = Schemas['PlanOut'];
export type KeptBody = Schemas['PutPlanInputBody'];
export type KeptPlan = Schemas['KeptOutputBody'];
export type MonthPaper = Schemas['MonthOutputBody'];
export type UsualKind = Schemas['UsualKind'];
export type Seasons = Schemas['SeasonsOutputBody'];
export type PlanSheet = Schemas['SheetOutputBody'];
export type AheadWindow = Schemas['AheadWindow'];
/** What one has to get about with. */
export type Means = NonNullable<
  NonNullable<paths['/v1/waters/{id}/reach']['get']['parameters']['query']>['by']
>;
export type GridQuery = paths['/v1/interchange/grid']['post']['parameters']['query'];
export type Playbook = Schemas['PlaybookOutputBody'];
export type Rule = Schemas['RuleOut'];
export type School = Schemas['SchoolOut'];
export type TargetFull = Schemas['TargetFull'];
export type TargetBody = Schemas['TargetBody'];
export type Elsewhere = Schemas['Elsewhere'];
export type KitItem = Schemas['KitItemOut'];
export type KitBody = Schemas['KitBody'];
export type Drawing = Schemas['Drawing'];
export type AdviseIn = Schemas['AdviseBody'];
export type CurveBy = paths['/v1/evidence/curve']['get']['parameters']['query']['by'];
export type Trial = Schemas['TrialOutputBody'];
export type Block = Trial['blocks'][number];
export type Curve = Schemas['CurveOutputBody'];
export type Pick = Schemas['PickBody'];
export type Limit = Schemas['LimitOut'];
export type Usual = Schemas['UsualOutputBody'];
export type Known = Schemas['KnownOut'];
export type Template = Schemas['TemplateOut'];
export type PracticeCast = Schemas['PracticeCast'];
export type Analysis = Schemas['AnalyseOutputBody'];

/** A problem the server reported, or that it could not be reached. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly fields: { location: string; message: string; value?: unknown }[] = [],
  ) {
    super(message);
  }
}

/** A question to the server. */
export interface Asked {
  method: string;
  /** Below /api, and what follows the question mark. */
  path: string;
  query: string;
  body?: string;
}
/** The device, which keeps what comes and answers when nothing does. */
export interface Stand {
  came(asked: Asked, response: Response): void;
  answer(asked: Asked): Promise<Response | undefined>;
}
let stand: Stand | undefined;
export const standIn = (s: Stand) => {
  stand = s;
};

/** Asks the server, or with no signal the device. */
async function reach(request: Request): Promise<Response> {
  const url = new URL(request.url);
  const asked: Asked = {
    method: request.method,
    path: url.pathname.replace(/^\/api/, ''),
    query: url.search.slice(1),
  };
  // What is sent is read once only.
  const again = request.method === 'POST' && stand ? request.clone() : undefined;
  try {
    const response = await fetch(request);
    stand?.came(asked, response.clone());
    return response;
  } catch (e) {
    if (request.signal.aborted || !stand) throw e;
    if (again) asked.body = await again.text();
    const answer = await stand.answer(asked);
    if (answer) return answer;
    throw e;
  }
}

/** Asks a question again that was asked before, for the device to keep the answer. */
export const askAgain = (path: string, query: string) =>
  reach(new Request(`${location.origin}/api${path}?${query}`));

const client = createClient<paths>({ baseUrl: '/api', fetch: reach });

type Result<T> = { data?: T; error?: unknown; response: Response };

async function settle<T>(call: Promise<Result<T>>): Promise<T> {
  let result: Result<T>;
  try {
    result = await call;
  } catch (e) {
    if (e instanceof DOMException && e.name === 'AbortError') throw e; // nobody waits for it any more
    throw new Problem(0, say.theServerCannotBeReached);
  }
  if (result.response.ok) return result.data as T;
  const p = (result.error ?? {}) as { detail?: string; errors?: Partial<Problem['fields'][number]>[] };
  throw new Problem(
    result.response.status,
    p.detail ?? say.somethingWentWrong,
    (p.errors ?? []).map((e) => ({ ...e, location: e.location ?? '', message: e.message ?? '' })),
  );
}

/** A calculation of the bench: its input and what it gives. */
type BenchPath = Exclude<
  Extract<keyof paths, `/v1/bench/${string}`>,
  '/v1/bench/usual' | `/v1/bench/practice${string}`
>;
type BenchName<P> = P extends `/v1/bench/${infer N}` ? N : never;
export type Calculation = BenchName<BenchPath>;
export type BenchIn<N extends Calculation> = paths[`/v1/bench/${N}`]['post'] extends {
  requestBody: { content: { 'application/json': infer B } };
}
  ? B
  : never;
export type BenchOut<N extends Calculation> = paths[`/v1/bench/${N}`]['post'] extends {
  responses: { 200: { content: { 'application/json': infer B } } };
}
  ? B
  : never;

/** A file's text sent as it is. */
const asText = (text: string) => ({
  body: text as never,
  bodySerializer: (b: unknown) => b as string,
  headers: { 'Content-Type': 'text/plain' },
});

export const api = {
  login: (name: string, password: string) => settle(client.POST('/v1/login', { body: { name, password } })),
  logout: () => settle(client.POST('/v1/logout')),
  welcome: () => settle(client.GET('/v1/welcome')),
  register: (body: Schemas['JoinInputBody']) => settle(client.POST('/v1/anglers', { body })),
  recover: (body: Schemas['RecoverInputBody']) => settle(client.POST('/v1/recover', { body })),
  putSettings: (body: Schemas['SettingsBody']) => settle(client.PUT('/v1/account/settings', { body })),
  account: () => settle(client.GET('/v1/account')),
  deleteAccount: (password: string) => settle(client.DELETE('/v1/account', { body: { password } })),
  sessions: () => settle(client.GET('/v1/account/sessions')),
  endSession: (id: string) =>
    settle(client.DELETE('/v1/account/sessions/{id}', { params: { path: { id } } })),
  endOtherSessions: () => settle(client.DELETE('/v1/account/sessions')),
  changePassword: (old: string, password: string) =>
    settle(client.PUT('/v1/account/password', { body: { old, password } })),
  makeRecoveryCodes: (password: string) =>
    settle(client.POST('/v1/account/recovery-codes', { body: { password } })),
  invites: () => settle(client.GET('/v1/invites')),
  makeInvite: (body: Schemas['InviteInputBody']) => settle(client.POST('/v1/invites', { body })),
  deleteInvite: (id: string) => settle(client.DELETE('/v1/invites/{id}', { params: { path: { id } } })),
  /** What an export gave, into this empty account; zipped on the way, it may be large. */
  bringBack: async (file: Blob) => {
    const zipped = file.type.includes('gzip')
      ? await file.arrayBuffer()
      : await new Response(file.stream().pipeThrough(new CompressionStream('gzip'))).arrayBuffer();
    return settle(
      client.PUT('/v1/account/export', {
        body: zipped as never,
        bodySerializer: (b: unknown) => b as ArrayBuffer,
        headers: { 'Content-Type': 'application/octet-stream' },
      }),
    );
  },
  waters: () => settle(client.GET('/v1/waters')),
  putWater: (id: string, body: Schemas['WaterInputBody']) =>
    settle(client.PUT('/v1/waters/{id}', { params: { path: { id } }, body })),
  deleteWater: (id: string, everything: boolean) =>
    settle(client.DELETE('/v1/waters/{id}', { params: { path: { id }, query: { everything } } })),
  knownStations: (query: NonNullable<paths['/v1/known-stations']['get']['parameters']['query']>) =>
    settle(client.GET('/v1/known-stations', { params: { query } })),
  takeKnown: (id: string, known_id: string, reference_id?: string) =>
    settle(
      client.PUT('/v1/stations/{id}/known', {
        params: { path: { id } },
        body: { known_id, ...(reference_id ? { reference_id } : {}) },
      }),
    ),
  templates: (station_id: string) =>
    settle(client.GET('/v1/templates', { params: { query: { station_id } } })),
  bend: (id: string, body: Schemas['BendInputBody'], signal?: AbortSignal) =>
    settle(client.POST('/v1/templates/{id}/bend', { params: { path: { id } }, body, signal })),
  addCoast: () => settle(client.POST('/v1/account/invented-coast')),
  removeCoast: () => settle(client.DELETE('/v1/account/invented-coast')),
  putFeed: (id: string, url: string) =>
    settle(client.PUT('/v1/waters/{id}/feed', { params: { path: { id } }, body: { url } })),
  deleteFeed: (id: string) => settle(client.DELETE('/v1/waters/{id}/feed', { params: { path: { id } } })),
  me: () => settle(client.GET('/v1/me')),
  targets: () => settle(client.GET('/v1/targets')),
  spots: () => settle(client.GET('/v1/spots')),
  spot: (id: string) => settle(client.GET('/v1/spots/{id}', { params: { path: { id } } })),
  state: (id: string, time: string, signal?: AbortSignal) =>
    settle(client.GET('/v1/spots/{id}/state', { params: { path: { id }, query: { time } }, signal })),
  ribbon: (id: string, from: string, hours: number, signal?: AbortSignal) =>
    settle(client.GET('/v1/spots/{id}/ribbon', { params: { path: { id }, query: { from, hours } }, signal })),
  advise: (body: AdviseIn, signal?: AbortSignal) => settle(client.POST('/v1/advise', { body, signal })),
  putSpell: (id: string, body: SpellIn) =>
    settle(client.PUT('/v1/spells/{id}', { params: { path: { id } }, body })),
  deleteSpell: (id: string) => settle(client.DELETE('/v1/spells/{id}', { params: { path: { id } } })),
  putCatch: (id: string, body: Schemas['CatchInputBody']) =>
    settle(client.PUT('/v1/catches/{id}', { params: { path: { id } }, body })),
  deleteCatch: (id: string) => settle(client.DELETE('/v1/catches/{id}', { params: { path: { id } } })),
  stations: () => settle(client.GET('/v1/stations')),
  putStation: (id: string, body: Schemas['StationInputBody']) =>
    settle(client.PUT('/v1/stations/{id}', { params: { path: { id } }, body })),
  useStation: (id: string, station_id: string) =>
    settle(client.PUT('/v1/waters/{id}/station', { params: { path: { id } }, body: { station_id } })),
  readStation: (text: string) => settle(client.POST('/v1/stations/read', asText(text))),
  putSurge: (water: string, body: Schemas['SurgeInputBody']) =>
    settle(client.PUT('/v1/waters/{id}/surge', { params: { path: { id: water } }, body })),
  deleteSurge: (water: string) =>
    settle(client.DELETE('/v1/waters/{id}/surge', { params: { path: { id: water } } })),
  deleteStation: (id: string) => settle(client.DELETE('/v1/stations/{id}', { params: { path: { id } } })),
  compare: (a: string, b: string) => settle(client.GET('/v1/tide/compare', { params: { query: { a, b } } })),
  conditions: (spot_id: string, time: string, signal?: AbortSignal) =>
    settle(client.GET('/v1/conditions', { params: { query: { spot_id, time } }, signal })),
  addReadings: (water: string, body: Schemas['ReadingsInputBody']) =>
    settle(client.POST('/v1/waters/{id}/readings', { params: { path: { id: water } }, body })),
  takeBack: (water: string, kind: string, time: string) =>
    settle(
      client.DELETE('/v1/waters/{id}/readings', { params: { path: { id: water }, query: { kind, time } } }),
    ),
  readLog: (water: string, text: string, query: { name: string; time_zone: string; keep: boolean }) =>
    settle(
      client.POST('/v1/waters/{id}/log', {
        params: { path: { id: water }, query },
        ...asText(text),
      }),
    ),
  spotTide: (id: string) => settle(client.GET('/v1/spots/{id}/tide', { params: { path: { id } } })),
  putOffsets: (id: string, body: Schemas['OffsetsBody']) =>
    settle(client.PUT('/v1/spots/{id}/offsets', { params: { path: { id } }, body })),
  putCurrent: (id: string, body: Schemas['CurrentBody']) =>
    settle(client.PUT('/v1/spots/{id}/current', { params: { path: { id } }, body })),
  putNoted: (id: string, noted_id: string, body: Schemas['NotedBody']) =>
    settle(client.PUT('/v1/spots/{id}/noted/{noted_id}', { params: { path: { id, noted_id } }, body })),
  deleteNoted: (id: string, noted_id: string) =>
    settle(client.DELETE('/v1/spots/{id}/noted/{noted_id}', { params: { path: { id, noted_id } } })),
  ahead: (along: Along[], signal?: AbortSignal) =>
    settle(client.GET('/v1/ahead', { params: { query: { along } }, signal })),
  aheadWindow: (
    query: { spot_id: string; target: string; from: string; until: string; least: number; along: Along[] },
    signal?: AbortSignal,
  ) => settle(client.GET('/v1/ahead/window', { params: { query }, signal })),
  previewPlans: (body: Schemas['PlanBody']) => settle(client.POST('/v1/plans/preview', { body })),
  spotMonth: (id: string, month?: string) =>
    settle(client.GET('/v1/spots/{id}/month', { params: { path: { id }, query: { month } } })),
  seasons: () => settle(client.GET('/v1/seasons', {})),
  usualOfWater: (id: string) => settle(client.GET('/v1/waters/{id}/usual', { params: { path: { id } } })),
  readUsual: (text: string) => settle(client.POST('/v1/usual/read', asText(text))),
  putUsualOfWater: (id: string, kinds: Schemas['UsualKind'][]) =>
    settle(client.PUT('/v1/waters/{id}/usual', { params: { path: { id } }, body: { kinds } })),
  plans: () => settle(client.GET('/v1/plans', {})),
  plan: (id: string) => settle(client.GET('/v1/plans/{id}', { params: { path: { id } } })),
  putPlan: (id: string, body: Schemas['PutPlanInputBody']) =>
    settle(client.PUT('/v1/plans/{id}', { params: { path: { id } }, body })),
  deletePlan: (id: string) => settle(client.DELETE('/v1/plans/{id}', { params: { path: { id } } })),
  planSheet: (id: string) => settle(client.GET('/v1/plans/{id}/sheet', { params: { path: { id } } })),
  aheadWindows: (query: AheadQuery, signal?: AbortSignal) =>
    settle(client.GET('/v1/ahead/windows', { params: { query }, signal })),
  chart: (time: string, signal?: AbortSignal) =>
    settle(client.GET('/v1/chart', { params: { query: { time } }, signal })),
  water: (id: string) => settle(client.GET('/v1/waters/{id}', { params: { path: { id } } })),
  cells: async (id: string) => {
    const r = await reach(new Request(new URL(`/api/v1/waters/${id}/grid.bin`, window.location.href)));
    if (!r.ok) throw new Problem(r.status, say.theDepthsCouldNotBe);
    return r.arrayBuffer();
  },
  words: () => settle(client.GET('/v1/ground/words')),
  reach: (id: string, query: { lat: number; lon: number; time: string; by?: Means }, signal?: AbortSignal) =>
    settle(client.GET('/v1/waters/{id}/reach', { params: { path: { id }, query }, signal })),
  finds: (id: string, level_m: number, signal?: AbortSignal) =>
    settle(client.GET('/v1/waters/{id}/finds', { params: { path: { id }, query: { level_m } }, signal })),
  cut: (id: string, from: LatLon, to: LatLon) =>
    settle(
      client.GET('/v1/waters/{id}/cut', {
        params: {
          path: { id },
          query: { from_lat: from.lat, from_lon: from.lon, to_lat: to.lat, to_lon: to.lon, points: 30 },
        },
      }),
    ),
  visits: (
    id: string,
    query: { from: string; to: string; margin_min: number; daylight: boolean; night: boolean },
    signal?: AbortSignal,
  ) => settle(client.GET('/v1/spots/{id}/visits', { params: { path: { id }, query }, signal })),
  shelter: (id: string, wind_ms: number, signal?: AbortSignal) =>
    settle(client.GET('/v1/spots/{id}/shelter', { params: { path: { id }, query: { wind_ms } }, signal })),
  pier: (id: string, time: string, signal?: AbortSignal) =>
    settle(client.GET('/v1/spots/{id}/pier', { params: { path: { id }, query: { time } }, signal })),
  bench: <N extends Calculation>(name: N, body: BenchIn<N>, signal?: AbortSignal) =>
    settle(
      client.POST(`/v1/bench/${name}` as '/v1/bench/fall', {
        body: body as BenchIn<'fall'>,
        signal,
      }) as Promise<Result<unknown>>,
    ) as Promise<BenchOut<N>>,
  playbook: () => settle(client.GET('/v1/playbook')),
  putSchool: (id: string, position: string) =>
    settle(client.PUT('/v1/playbook/schools/{id}', { params: { path: { id } }, body: { position } })),
  putTarget: (id: string, body: TargetBody) =>
    settle(client.PUT('/v1/playbook/targets/{id}', { params: { path: { id } }, body })),
  deleteTarget: (id: string) =>
    settle(client.DELETE('/v1/playbook/targets/{id}', { params: { path: { id } } })),
  putOwnRule: (id: string, body: Schemas['OwnRuleInputBody']) =>
    settle(client.PUT('/v1/playbook/own-rules/{id}', { params: { path: { id } }, body })),
  deleteOwnRule: (id: string) =>
    settle(client.DELETE('/v1/playbook/own-rules/{id}', { params: { path: { id } } })),
  importOwn: (text: string) => settle(client.POST('/v1/interchange/playbook', asText(text))),
  edge: (body: Schemas['EdgeBody'], signal?: AbortSignal) =>
    settle(client.POST('/v1/edge', { body, signal })),
  outlook: () => settle(client.GET('/v1/outlook')),
  limits: () => settle(client.GET('/v1/limits')),
  putLimits: (limits: Schemas['LimitBody'][]) => settle(client.PUT('/v1/limits', { body: { limits } })),
  compareAdvice: (a: Pick, b: Pick, signal?: AbortSignal) =>
    settle(client.POST('/v1/advise/compare', { body: { a, b }, signal })),
  kit: () => settle(client.GET('/v1/kit')),
  putKit: (id: string, body: Schemas['KitItemInputBody']) =>
    settle(client.PUT('/v1/kit/{id}', { params: { path: { id } }, body })),
  deleteKit: (id: string) => settle(client.DELETE('/v1/kit/{id}', { params: { path: { id } } })),
  importKit: (text: string, preview: boolean) =>
    settle(client.POST('/v1/interchange/kit', { params: { query: { preview } }, ...asText(text) })),
  bylaws: () => settle(client.GET('/v1/bylaws')),
  putBylaw: (id: string, body: Schemas['BylawInputBody']) =>
    settle(client.PUT('/v1/bylaws/{id}', { params: { path: { id } }, body })),
  deleteBylaw: (id: string) => settle(client.DELETE('/v1/bylaws/{id}', { params: { path: { id } } })),
  bylawAgain: (id: string) => settle(client.GET('/v1/bylaws/{id}/again', { params: { path: { id } } })),
  checkBylaws: (body: Schemas['BylawCheckInputBody'], signal?: AbortSignal) =>
    settle(client.POST('/v1/bylaws/check', { body, signal })),
  importBylaws: (text: string, preview: boolean) =>
    settle(client.POST('/v1/interchange/bylaws', { params: { query: { preview } }, ...asText(text) })),
  dayCard: (body: Schemas['DayCardBody'], signal?: AbortSignal) =>
    settle(client.POST('/v1/day-card', { body, signal })),
  care: (body: Schemas['CareBody'], signal?: AbortSignal) =>
    settle(client.POST('/v1/care', { body, signal })),
  putOwnCare: (target: string, body: Schemas['OwnCare']) =>
    settle(client.PUT('/v1/care/{target}', { params: { path: { target } }, body })),
  ice: (body: Schemas['IceBody'], signal?: AbortSignal) =>
    settle(client.POST('/v1/care/ice', { body, signal })),
  liveBait: (body: Schemas['LiveBaitBody'], signal?: AbortSignal) =>
    settle(client.POST('/v1/care/live-bait', { body, signal })),
  keep: (body: Schemas['KeepBody'], signal?: AbortSignal) =>
    settle(client.POST('/v1/keep', { body, signal })),
  rigCard: (id: string, query: NonNullable<paths['/v1/rigs/{id}/card']['get']['parameters']['query']>) =>
    settle(client.GET('/v1/rigs/{id}/card', { params: { path: { id }, query } })),
  kinds: () => settle(client.GET('/v1/readings/kinds')),
  fileColumns: () => settle(client.GET('/v1/interchange/columns')),
  formats: () => settle(client.GET('/v1/interchange/formats')),
  knots: () => settle(client.GET('/v1/knots')),
  usual: (spot_id: string, time?: string, target?: string, signal?: AbortSignal) =>
    settle(client.GET('/v1/bench/usual', { params: { query: { spot_id, time, target } }, signal })),
  practice: (body: PracticeCast) => settle(client.POST('/v1/bench/practice', { body })),
  throwAt: (body: Schemas['ThrowInputBody']) => settle(client.POST('/v1/bench/practice/throw', { body })),
  putRule: (id: string, body: Schemas['RuleInputBody']) =>
    settle(client.PUT('/v1/playbook/rules/{id}', { params: { path: { id } }, body })),
  readSurf: (body: Schemas['SurfInputBody'], signal?: AbortSignal) =>
    settle(client.POST('/v1/ground/surf', { body, signal })),
  putSpot: (id: string, body: Schemas['SpotInputBody']) =>
    settle(client.PUT('/v1/spots/{id}', { params: { path: { id } }, body })),
  putMark: (id: string, mark_id: string, body: Schemas['MarkInputBody']) =>
    settle(client.PUT('/v1/spots/{id}/marks/{mark_id}', { params: { path: { id, mark_id } }, body })),
  deleteSpot: (id: string) => settle(client.DELETE('/v1/spots/{id}', { params: { path: { id } } })),
  putZone: (id: string, water_id: string, body: ZoneIn) =>
    settle(client.PUT('/v1/zones/{id}', { params: { path: { id }, query: { water_id } }, body })),
  deleteZone: (id: string) => settle(client.DELETE('/v1/zones/{id}', { params: { path: { id } } })),
  readSection: (text: string) => settle(client.POST('/v1/interchange/section', asText(text))),
  readFeatures: (format: ImportQuery['format'], text: string) =>
    settle(client.POST('/v1/interchange/read', { params: { query: { format } }, ...asText(text) })),
  importFeatures: (query: ImportQuery, text: string) =>
    settle(client.POST('/v1/interchange/import', { params: { query }, ...asText(text) })),
  importGrid: (query: GridQuery, text: string) =>
    settle(client.POST('/v1/interchange/grid', { params: { query }, ...asText(text) })),
  found: (id: string, body: { time: string; mark?: string; depth_m?: number; shut?: boolean }) =>
    settle(client.POST('/v1/spots/{id}/found', { params: { path: { id } }, body })),
  elsewhere: (id: string, target: string, time: string) =>
    settle(client.GET('/v1/spots/{id}/elsewhere', { params: { path: { id }, query: { target, time } } })),
  offline: (have: string[]) => settle(client.GET('/v1/offline', { params: { query: { have } } })),
  evidence: (target: string) => settle(client.GET('/v1/evidence', { params: { query: { target } } })),
  evidenceRule: (target: string, rule: string) =>
    settle(client.GET('/v1/evidence/rule', { params: { query: { target, rule } } })),
  evidenceCurve: (target: string, by: CurveBy) =>
    settle(client.GET('/v1/evidence/curve', { params: { query: { target, by } } })),
  calibration: (target?: string) =>
    settle(client.GET('/v1/evidence/calibration', { params: { query: target ? { target } : {} } })),
  trials: () => settle(client.GET('/v1/trials', {})),
  trial: (id: string) => settle(client.GET('/v1/trials/{id}', { params: { path: { id } } })),
  putTrial: (id: string, body: Schemas['PutTrialInputBody']) =>
    settle(client.PUT('/v1/trials/{id}', { params: { path: { id } }, body })),
  deleteTrial: (id: string) => settle(client.DELETE('/v1/trials/{id}', { params: { path: { id } } })),
  putBlock: (id: string, block: string, body: Schemas['BlockInputBody']) =>
    settle(client.PUT('/v1/trials/{id}/blocks/{block}', { params: { path: { id, block } }, body })),
  trialResult: (id: string) => settle(client.GET('/v1/trials/{id}/result', { params: { path: { id } } })),
  lessons: (target: string) => settle(client.GET('/v1/evidence/lessons', { params: { query: { target } } })),
  rateRatio: (body: { first: Schemas['ArmBody']; second: Schemas['ArmBody'] }) =>
    settle(client.POST('/v1/stats/rate-ratio', { body })),
  shares: (body: { first: Schemas['SharesBody']; second: Schemas['SharesBody'] }) =>
    settle(client.POST('/v1/stats/fisher', { body })),
  trialPower: (body: { ratio: number; rate: number }) => settle(client.POST('/v1/trials/power', { body })),
  outings: () => settle(client.GET('/v1/outings', { params: { query: { most: 3 } } })),
  outing: (id: string) => settle(client.GET('/v1/outings/{id}', { params: { path: { id } } })),
  putOuting: (id: string, body: Schemas['OutingBody']) =>
    settle(client.PUT('/v1/outings/{id}', { params: { path: { id } }, body })),
  tags: () => settle(client.GET('/v1/tags', {})),
  importTags: (list: string, text: string) =>
    settle(client.POST('/v1/interchange/tags', { params: { query: { list } }, ...asText(text) })),
  deleteTagList: (list: string) =>
    settle(client.DELETE('/v1/interchange/tags', { params: { query: { list } } })),
  importLog: (body: Schemas['IncomingBody']) => settle(client.POST('/v1/interchange/log', { body })),
  imports: () => settle(client.GET('/v1/imports', {})),
  takeBackImport: (id: string) => settle(client.DELETE('/v1/imports/{id}', { params: { path: { id } } })),
  sightings: (query: { spot_id?: string; most?: number }) =>
    settle(client.GET('/v1/sightings', { params: { query } })),
  putSighting: (id: string, body: Schemas['SightingInputBody']) =>
    settle(client.PUT('/v1/sightings/{id}', { params: { path: { id } }, body })),
  deleteSighting: (id: string) => settle(client.DELETE('/v1/sightings/{id}', { params: { path: { id } } })),
  putPhoto: (id: string, catch_id: string, keep: boolean, file: File) =>
    settle(
      client.PUT('/v1/photos/{id}', {
        params: { path: { id }, query: { catch_id, keep } },
        body: file as never,
        bodySerializer: (b: unknown) => b as File,
        headers: { 'Content-Type': file.type },
      }),
    ),
  deletePhoto: (id: string) => settle(client.DELETE('/v1/photos/{id}', { params: { path: { id } } })),
  growth: (target: string) => settle(client.GET('/v1/growth', { params: { query: { target } } })),
  logPlaces: (query: NonNullable<paths['/v1/log/places']['get']['parameters']['query']>) =>
    settle(client.GET('/v1/log/places', { params: { query } })),
  logDays: (query: NonNullable<paths['/v1/log/days']['get']['parameters']['query']>) =>
    settle(client.GET('/v1/log/days', { params: { query } })),
  spells: (query: NonNullable<paths['/v1/spells']['get']['parameters']['query']>) =>
    settle(client.GET('/v1/spells', { params: { query } })),
};
