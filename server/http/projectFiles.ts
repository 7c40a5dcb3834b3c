import { Router } from 'express';
import { slug } from '@lettera/core/deliver';
import { judgeProject } from '../judging';
import { openProject, PROJECT_FILE_SUFFIX, saveProject } from '../projectFile';
import type { Services } from '../services';
import { Problem } from './problem';
import { projectOf, sendProject } from './requests';
import { filesOf, receivingFiles } from './uploads';
import * as describe from './describe';

/** The most that a project file may weigh, packed. */
const MOST_BYTES = 256 * 1024 * 1024;

/** What the routes take and answer. */
export const projectFilePaths = {
  '/projects/{id}/project-file': {
    parameters: [describe.project],
    get: {
      summary: 'The project in one file: its document, font files and pages, without its history',
      responses: {
        200: describe.file('Project file', 'application/zip'),
        ...describe.problems(404),
      },
    },
  },
  '/projects/opened': {
    post: {
      summary: 'Makes a project of a project file, beside those that are there',
      requestBody: { content: describe.filesWith() },
      responses: { 201: describe.theProject, ...describe.problems(400, 413, 422, 503) },
    },
  },
  '/projects/{id}/marks': {
    parameters: [describe.project],
    get: {
      summary: 'The marks on the project, and those that were set aside',
      responses: {
        200: describe.answer(
          'Marks',
          describe.object({
            marks: describe.list({ type: 'object' }),
            aside: describe.list({ type: 'object' }),
          }),
        ),
        ...describe.problems(404, 409),
      },
    },
  },
} as const;

/** Projects in one file each, and the marks on a project as programs get them. */
export function projectFileRoutes(
  services: Pick<
    Services,
    | 'projects'
    | 'fonts'
    | 'pages'
    | 'sites'
    | 'waypoints'
    | 'localReadings'
    | 'jobs'
    | 'incoming'
    | 'measurer'
    | 'tuner'
    | 'deliveries'
  >,
): Router {
  const { projects, incoming } = services;
  const router = Router();

  router.get('/projects/:id/project-file', async (request, response) => {
    const project = await projectOf(projects, request);
    const file = await saveProject(services, project);
    response.attachment(`${slug(project.name)}${PROJECT_FILE_SUFFIX}`);
    response.type('application/zip').send(Buffer.from(file));
  });

  router.post(
    '/projects/opened',
    ...receivingFiles(incoming, {
      file: MOST_BYTES,
      all: MOST_BYTES + 1024,
      files: 1,
      what: 'A project file',
    }),
    async (request, response) => {
      const [file] = filesOf(request);
      if (!file) throw new Problem('bad-request', 'Send a project file in a part named “file”.');
      const project = await openProject(services, file.path);
      response.location(`/api/v1/projects/${project.id}`);
      sendProject(response, project, 201);
    },
  );

  router.get('/projects/:id/marks', async (request, response) => {
    response.json(await judgeProject(services, await projectOf(projects, request)));
  });

  return router;
}
