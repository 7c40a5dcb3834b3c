import { desc, eq } from 'drizzle-orm';
import type { MadeDelivery } from '@lettera/core/wire';
import type { Database } from './database';
import { deliveries } from './schema';

/** Most deliveries of a project that are listed: the newest. */
const MOST_LISTED = 100;

/**
 * Deliveries that were taken away. What one held follows from its revision, which the history keeps, but for the
 * characters of its fonts, which followed from the pages as they were then.
 */
export class DeliveryStore {
  constructor(private readonly database: Database) {}

  /** Those of a project, newest first. */
  list(projectId: string): Promise<MadeDelivery[]> {
    return this.database
      .select({
        revision: deliveries.revision,
        at: deliveries.at,
        characters: deliveries.characters,
      })
      .from(deliveries)
      .where(eq(deliveries.projectId, projectId))
      .orderBy(desc(deliveries.at), desc(deliveries.revision))
      .limit(MOST_LISTED);
  }

  /** Keeps that a revision was delivered; of one that is delivered again, the later time counts. */
  async keep(
    projectId: string,
    revision: number,
    characters: Record<string, string>,
  ): Promise<MadeDelivery> {
    const at = new Date().toISOString();
    await this.database
      .insert(deliveries)
      .values({ projectId, revision, at, characters })
      .onConflictDoUpdate({
        target: [deliveries.projectId, deliveries.revision],
        set: { at, characters },
      });
    return { revision, at, characters };
  }
}
