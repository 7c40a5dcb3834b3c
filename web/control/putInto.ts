/**
 * Puts a text into a field as if it had been typed there: the field's component remembers what was typed last, and
 * would bring that back when it is drawn again.
 */
export function putInto(field: HTMLInputElement, text: string): void {
  field.value = text;
  field.dispatchEvent(new Event('input', { bubbles: true }));
}
