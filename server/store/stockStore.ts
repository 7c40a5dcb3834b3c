import type { KeptStock } from '@lettera/core/wire';
import { eq } from 'drizzle-orm';
import type { Database } from './database';
import { stocks } from './schema';

/** The site that was taken stock of last, by project: its pages are read again whenever it is looked at. */
export class StockStore {
  constructor(private readonly database: Database) {}

  async get(projectId: string): Promise<KeptStock> {
    const [kept] = await this.database
      .select({ made: stocks.made, pages: stocks.pages })
      .from(stocks)
      .where(eq(stocks.projectId, projectId));
    return kept ?? { made: null, pages: [] };
  }

  /** @param made ISO 8601 */
  async keep(projectId: string, made: string, pages: KeptStock['pages']): Promise<void> {
    const kept = { made, pages };
    await this.database
      .insert(stocks)
      .values({ projectId, ...kept })
      .onConflictDoUpdate({ target: stocks.projectId, set: kept });
  }

  async forget(projectId: string): Promise<void> {
    await this.database.delete(stocks).where(eq(stocks.projectId, projectId));
  }
}
