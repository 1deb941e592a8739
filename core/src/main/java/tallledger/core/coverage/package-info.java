/**
 * What a run proves, what has been proven, and what to run next.
 *
 * <p>An <em>element</em> is one position of one stage (its gear pair, groove, winding, detent; each direction of rotation).
 * A run exercises the elements on its route. Elements are bits of a long, numbered stage by stage from the motor. The latest
 * run of a route counts. Nothing here may call "9 of 24 run" every speed: coverage is counted, never claimed.
 */
package tallledger.core.coverage;
