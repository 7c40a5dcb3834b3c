import type { Static, TSchema } from '@sinclair/typebox';
import * as live from './live';
import * as pages from './pages';
import * as project from './project';
import * as readings from './readings';
import { REQUESTS } from './requests';
import * as work from './work';

/**
 * One contract for the wire: every shape stands here once. The description of the API, the types of the
 * server's answers and of the client, and the tests of shapes come from it.
 */
export const SHAPES = {
  Problem: project.Problem,
  Session: project.Session,
  ProjectSummary: project.ProjectSummary,
  Project: project.Project,
  Change: project.Change,
  Document: project.Document,
  Scale: project.ScaleShape,
  Patch: project.PatchShape,
  HistoryEntry: project.HistoryEntry,
  Revision: project.Revision,
  Waypoint: project.Waypoint,
  WaypointState: project.WaypointState,
  MadeDelivery: project.MadeDelivery,
  LanguageText: project.LanguageText,
  PageTitle: pages.PageTitle,
  BroughtPages: pages.BroughtPages,
  LookedPages: pages.LookedPages,
  AllowedHost: pages.AllowedHost,
  KeptStock: pages.KeptStock,
  LiveSheet: live.LiveSheet,
  LiveState: live.LiveState,
  LiveReading: live.LiveReading,
  LiveKinds: live.LiveKinds,
  VisitState: live.VisitState,
  PageAccount: pages.PageAccount,
  Reading: readings.Reading,
  FaceMeasures: readings.Measures,
  LowerCase: readings.LowerCase,
  Figures: readings.Figures,
  WeightMeasures: readings.Weight,
  FamilyMeasures: readings.FamilyOfCase,
  FamilySheet: readings.Sheet,
  TunedFace: readings.Tuned,
  LocalAdvances: readings.Advances,
  LocalReading: readings.LocalReadingShape,
  MeasuredLocal: readings.MeasuredLocal,
  LibraryFamily: readings.FamilyOfLibrary,
  LibraryDetails: readings.LibraryDetails,
  MeasuredFile: readings.MeasuredFile,
  TakenFile: work.TakenFile,
  ProgressReport: work.ProgressReport,
  LibraryProgress: work.LibraryProgress,
  DeliveryFile: work.DeliveryFile,
  DeliveryEvidence: work.DeliveryEvidence,
  Trials: work.Trials,
  TwinScripts: work.TwinScripts,
  ...REQUESTS,
} satisfies Record<string, TSchema>;

export { readBody } from './readBody';
export type { RequestBody, RequestName } from './requests';
export type { LiveTold } from './live';

export type ShapeName = keyof typeof SHAPES;
type Shape<N extends ShapeName> = Static<(typeof SHAPES)[N]>;

export type ProblemDetails = Shape<'Problem'>;
export type Session = Shape<'Session'>;
export type ProjectSummary = Shape<'ProjectSummary'>;
/** A project as it stands. */
export type Project = Shape<'Project'>;
/** What a change has made of a project, for who has it as it was before. */
export type Change = Shape<'Change'>;
/** A revision in the history of a project. */
export type HistoryEntry = Shape<'HistoryEntry'>;
export type Revision = Shape<'Revision'>;
export type Waypoint = Shape<'Waypoint'>;
export type WaypointState = Shape<'WaypointState'>;
export type MadeDelivery = Shape<'MadeDelivery'>;
export type AllowedHost = Shape<'AllowedHost'>;
export type LiveSheet = Shape<'LiveSheet'>;
export type LiveState = Shape<'LiveState'>;
export type LiveReading = Shape<'LiveReading'>;
export type VisitState = Shape<'VisitState'>;
export type LiveKinds = Shape<'LiveKinds'>;
export type LanguageText = Shape<'LanguageText'>;
export type PageTitle = Shape<'PageTitle'>;
export type BroughtPages = Shape<'BroughtPages'>;
export type LookedPages = Shape<'LookedPages'>;
export type KeptStock = Shape<'KeptStock'>;
export type PageAccount = Shape<'PageAccount'>;
export type LibraryDetails = Shape<'LibraryDetails'>;
export type MeasuredFile = Shape<'MeasuredFile'>;
/** What became of one file of an upload. */
export type TakenFile = Shape<'TakenFile'>;
/** How far a long piece of work has come. */
export type ProgressReport = Shape<'ProgressReport'>;
/** What has been measured of the library, from a number of families on. */
export type LibraryProgress = Shape<'LibraryProgress'>;
export type DeliveryFile = Shape<'DeliveryFile'>;
export type DeliveryEvidence = Shape<'DeliveryEvidence'>;
export type TwinScripts = Shape<'TwinScripts'>;
export type MeasuredLocal = Shape<'MeasuredLocal'>;
