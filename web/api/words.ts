/** The server: every word that is read there, by the component that says it. */

export const client = {
  serverAnswered: (status: number) => `The server answered ${status}.`,
  letterasServerDoesNot: 'Lettera’s server does not answer.',
};
