import { blob, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { LocalAdvances, LocalVariant, TunedFace } from '@lettera/core/fallback';
import type { FaceReading } from '@lettera/core/font';
import type { FamilyMeasures, FamilySheet } from '@lettera/core/measure';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import type { Removed } from '@lettera/core/page';
import type { SheetOfPage } from '@lettera/core/page/file';

/** A project as it stands, and where undo and redo would go. */
export const projects = sqliteTable('projects', {
  id: text('id').primaryKey(),
  slug: text('slug').notNull().unique(),
  revision: integer('revision').notNull(),
  document: text('document', { mode: 'json' }).$type<ProjectDocument>().notNull(),
  /** Revision of the change that undo would take back; null when there is none. */
  undoTop: integer('undo_top'),
  /** Revision of the change that redo would make again; null when there is none. */
  redoTop: integer('redo_top'),
  /** When, and by whom, the foundry was allowed for this project; null while it is not. */
  foundryAllowedAt: text('foundry_allowed_at'),
  foundryAllowedBy: text('foundry_allowed_by'),
  createdAt: text('created_at').notNull(),
  updatedAt: text('updated_at').notNull(),
});

/** Inner hosts that pages of a project may be fetched from, and who allowed it when. */
export const projectHosts = sqliteTable(
  'project_hosts',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    /** As `name` or `name:port`. */
    host: text('host').notNull(),
    allowedAt: text('allowed_at').notNull(),
    allowedBy: text('allowed_by').notNull(),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.host] })],
);

/** Live sheets: what lets a running site have a project's type while it is decided. One that was ended stays told. */
export const liveSheets = sqliteTable(
  'live_sheets',
  {
    /** What stands in its address, which nobody can guess. */
    key: text('key').primaryKey(),
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    /** Origins of the site that may have it. */
    origins: text('origins', { mode: 'json' }).$type<string[]>().notNull(),
    /** Whether what is only being tried is shown there too. */
    tried: integer('tried', { mode: 'boolean' }).notNull(),
    startedAt: text('started_at').notNull(),
    endedAt: text('ended_at'),
    /** Requests that were refused, and from where the last of them came. */
    refused: integer('refused').notNull().default(0),
    refusedFrom: text('refused_from'),
  },
  (table) => [index('live_sheets_by_project').on(table.projectId)],
);

/** Where a project's visits are counted, by what stands in the address. */
export const visitKeys = sqliteTable('visit_keys', {
  key: text('key').primaryKey(),
  projectId: text('project_id')
    .notNull()
    .unique()
    .references(() => projects.id, { onDelete: 'cascade' }),
});

/** Visits of the site as sums by day: how often each thing was counted. */
export const visitCounts = sqliteTable(
  'visit_counts',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    /** ISO 8601, of the world's time. */
    day: text('day').notNull(),
    what: text('what').notNull(),
    times: integer('times').notNull(),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.day, table.what] })],
);

/** Pages that were read on the running site, as the reader gave them, until somebody takes stock of them. */
export const liveReadings = sqliteTable(
  'live_readings',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    address: text('address').notNull(),
    title: text('title').notNull(),
    at: text('at').notNull(),
    /** Widths that it was read at, CSS px. */
    widths: text('widths', { mode: 'json' }).$type<number[]>().notNull(),
    texts: integer('texts').notNull(),
    bytes: integer('bytes').notNull(),
    reading: text('reading').notNull(),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.address] })],
);

/**
 * Every revision of a project, one row each. Changes are linked as two stacks: `below` is the change
 * that undo would take back after this one, `nextRedo` the one that redo would make again after it.
 */
export const changes = sqliteTable(
  'changes',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    kind: text('kind', { enum: ['change', 'undo', 'redo'] }).notNull(),
    label: text('label').notNull(),
    patch: text('patch', { mode: 'json' }).$type<Patch>().notNull(),
    inverse: text('inverse', { mode: 'json' }).$type<Patch>().notNull(),
    below: integer('below'),
    nextRedo: integer('next_redo'),
    at: text('at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.revision] })],
);

/** States of a project that were given a name, whole: to be compared with and returned to. */
export const waypoints = sqliteTable(
  'waypoints',
  {
    id: text('id').primaryKey(),
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    revision: integer('revision').notNull(),
    document: text('document', { mode: 'json' }).$type<ProjectDocument>().notNull(),
    at: text('at').notNull(),
  },
  (table) => [index('waypoints_of_project').on(table.projectId, table.at)],
);

/** Revisions whose bundle was taken away, when that was last, and the characters that its font files had. */
export const deliveries = sqliteTable(
  'deliveries',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    at: text('at').notNull(),
    characters: text('characters', { mode: 'json' }).$type<Record<string, string>>(),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.revision] })],
);

/** Font files as they were taken in, whole, each stored once under its hash. */
export const fontFiles = sqliteTable('font_files', {
  sha256: text('sha256').primaryKey(),
  bytes: blob('bytes', { mode: 'buffer' }).notNull(),
  reading: text('reading', { mode: 'json' }).$type<FaceReading>().notNull(),
  /** Licence text, from the library it came from or from the file. */
  licence: text('licence'),
});

/** Which projects have taken in which files. */
export const projectFonts = sqliteTable(
  'project_fonts',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    sha256: text('sha256')
      .notNull()
      .references(() => fontFiles.sha256),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.sha256] })],
);

/** Files made from font files to be delivered: packed, or cut. By what they were made from, and what was done. */
export const derivedFiles = sqliteTable(
  'derived_files',
  {
    source: text('source')
      .notNull()
      .references(() => fontFiles.sha256, { onDelete: 'cascade' }),
    cut: text('cut').notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
    size: integer('size').notNull(),
  },
  (table) => [primaryKey({ columns: [table.source, table.cut] })],
);

/** Local fonts tuned to faces, by the hash of all that they were tuned on. */
export const tunings = sqliteTable('tunings', {
  key: text('key').primaryKey(),
  face: text('face', { mode: 'json' }).$type<TunedFace>(),
});

/** Who is signed in: sessions by the hash of what their cookie holds. */
export const sessions = sqliteTable('sessions', {
  hash: text('hash').primaryKey(),
  /** The token that was signed in with, hashed: another token ends its sessions. */
  token: text('token').notNull(),
  expiresAt: integer('expires_at').notNull(),
});

/** What was measured of families, by the hashes of the files it was measured on; taken once. */
export const familyMeasures = sqliteTable('family_measures', {
  key: text('key').primaryKey(),
  measures: text('measures', { mode: 'json' }).$type<FamilyMeasures>().notNull(),
  sheet: text('sheet', { mode: 'json' }).$type<FamilySheet>().notNull(),
});

/**
 * Readings of local fonts that were measured on a designer's own machine: advances, and nothing of the font.
 * By the key of the set of local fonts, and the style.
 */
export const localReadings = sqliteTable(
  'local_readings',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    local: text('local').notNull(),
    variant: text('variant').$type<LocalVariant>().notNull(),
    advances: text('advances', { mode: 'json' }).$type<LocalAdvances>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.local, table.variant] })],
);

/** The pages on which a project is proofed. */
export const pages = sqliteTable(
  'pages',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    slug: text('slug').notNull(),
    title: text('title').notNull(),
    /** The contents of the body, and the page's own style sheet, which leaves type alone. */
    html: text('html').notNull(),
    css: text('css').notNull(),
    position: integer('position').notNull(),
    /** Version of the cleaner that it went through last. */
    cleaned: integer('cleaned').notNull().default(0),
  },
  (table) => [
    primaryKey({ columns: [table.projectId, table.slug] }),
    index('pages_in_order').on(table.projectId, table.position),
  ],
);

/** Pages that were brought in, by the files that they were brought in with. They never change. */
export const sitePages = sqliteTable(
  'site_pages',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    site: text('site').notNull(),
    path: text('path').notNull(),
    title: text('title').notNull(),
    /** The whole document, safe to show. */
    html: text('html').notNull(),
    sheets: text('sheets', { mode: 'json' }).$type<SheetOfPage[]>().notNull(),
    removed: text('removed', { mode: 'json' }).$type<Removed[]>().notNull(),
    notes: text('notes', { mode: 'json' }).$type<string[]>().notNull(),
    /** Version of the cleaner that it went through last, and its site's files with it. */
    cleaned: integer('cleaned').notNull().default(0),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.site, table.path] })],
);

/** The site that was taken stock of last for a project: when, and which of the pages that were added. */
export const stocks = sqliteTable('stocks', {
  projectId: text('project_id')
    .primaryKey()
    .references(() => projects.id, { onDelete: 'cascade' }),
  made: text('made').notNull(),
  pages: text('pages', { mode: 'json' })
    .$type<{ name: string; site: string; path: string; address?: string }[]>()
    .notNull(),
});

/** Sites that were brought to be looked at, and when: they go after a while where nothing keeps them. */
export const lookedSites = sqliteTable(
  'looked_sites',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    site: text('site').notNull(),
    at: text('at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.site] })],
);

/** What those pages ask for: style sheets, pictures and fonts. */
export const siteFiles = sqliteTable(
  'site_files',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    site: text('site').notNull(),
    path: text('path').notNull(),
    type: text('type').notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.site, table.path] })],
);

/** Answers of the foundry, kept so that nothing is fetched twice. */
export const supplyCache = sqliteTable('supply_cache', {
  url: text('url').primaryKey(),
  etag: text('etag'),
  body: blob('body', { mode: 'buffer' }).notNull(),
  fetchedAt: text('fetched_at').notNull(),
});

/** Documents of projects at some of their revisions, whole: others between them are made from the nearest. */
export const keptStates = sqliteTable(
  'kept_states',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    document: text('document', { mode: 'json' }).$type<ProjectDocument>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.revision] })],
);

/** What has just happened, for the other processes on this store, which follow it. It is let go of after a while. */
export const outbox = sqliteTable(
  'outbox',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    /** Which process it happened in, by a word of its own. */
    origin: text('origin').notNull(),
    /** The project that it is about; null for all. */
    project: text('project'),
    kind: text('kind').notNull(),
    data: text('data', { mode: 'json' }).$type<unknown>().notNull(),
    /** Milliseconds since 1970. */
    at: integer('at').notNull(),
  },
  (table) => [index('outbox_by_age').on(table.at)],
);

/** Work that a process is at, by what it makes: until then nobody else begins it. */
export const leases = sqliteTable('leases', {
  key: text('key').primaryKey(),
  holder: text('holder').notNull(),
  /** Milliseconds since 1970, by the store's own clock. */
  until: integer('until').notNull(),
});

/** How often something was tried that may be tried so often, by who tries it. */
export const tries = sqliteTable('tries', {
  key: text('key').primaryKey(),
  hits: integer('hits').notNull(),
  /** When they count anew, milliseconds since 1970. */
  resetsAt: integer('resets_at').notNull(),
});
