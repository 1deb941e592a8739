/* Why what was kept is not sent now. */

/** No answer, or the server could not write: it is tried again. */
export class ConnectionLost extends Error {}

/** This device is not let in any more: what it holds stays here until it is. */
export class NotLetIn extends Error {}
