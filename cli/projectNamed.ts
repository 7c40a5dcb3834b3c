import type { Project, Services } from '@lettera/server';

/** There is no project by the name given. */
export class UnknownProjectError extends Error {
  override readonly name = 'UnknownProjectError';
}

/** A project by its id or short name. @throws UnknownProjectError with those that there are */
export async function projectNamed(
  { projects }: Pick<Services, 'projects'>,
  idOrSlug: string,
): Promise<Project> {
  const project = await projects.get(idOrSlug);
  if (project) return project;
  const known = (await projects.list()).map(({ slug }) => slug).join(', ');
  throw new UnknownProjectError(
    `There is no project “${idOrSlug}”. There ${known ? `are: ${known}` : 'are none yet'}.`,
  );
}
