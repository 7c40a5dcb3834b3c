/** The server: every word that is read there, by the component that says it. */

/** What is said in the midst of words. */
type Said = string | number;

export const client = {
  serverAnswered: (status: Said) => `The server answered ${status}.`,
  letterasServerDoesNot: 'Lettera’s server does not answer.',
};
