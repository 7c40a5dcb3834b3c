/** What is wrong with one value of a document; `path` is a JSON Pointer (RFC 6901). */
export interface FieldError {
  path: string;
  message: string;
}
