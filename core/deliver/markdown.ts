/** Text as it stands in Markdown, whatever is in it. CommonMark §2.4. */
export const escapeMarkdown = (text: string): string =>
  text.replace(/[\\`*_{}[\]()<>#+!|&~-]/g, '\\$&');
