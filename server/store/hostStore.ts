import { and, asc, eq, getTableColumns } from 'drizzle-orm';
import type { AllowedHost } from '@lettera/core/wire';
import type { Database } from './database';
import { projectHosts } from './schema';

const { projectId: _projectId, ...told } = getTableColumns(projectHosts);

/** Inner hosts that pages of projects may be fetched from: what was allowed, by whom and when. */
export class HostStore {
  constructor(private readonly database: Database) {}

  async list(projectId: string): Promise<AllowedHost[]> {
    return this.database
      .select(told)
      .from(projectHosts)
      .where(eq(projectHosts.projectId, projectId))
      .orderBy(asc(projectHosts.host));
  }

  /** Allows a host; one that was allowed before keeps who allowed it. */
  async allow(projectId: string, host: string, allowedBy: string): Promise<void> {
    await this.database
      .insert(projectHosts)
      .values({ projectId, host, allowedAt: new Date().toISOString(), allowedBy })
      .onConflictDoNothing();
  }

  async withdraw(projectId: string, host: string): Promise<void> {
    await this.database
      .delete(projectHosts)
      .where(and(eq(projectHosts.projectId, projectId), eq(projectHosts.host, host)));
  }
}
