/**
 * What a film of a machine is and what can be measured in its picture (W 4.8): which film by the SHA-256 of its bytes, its frame rate
 * from its frames' own times, a length by a known one in the picture. Turns counted in a film are a way of reading a speed and stand in
 * {@code reading}; what a film bears at all is judged in {@code survey}. Times are seconds from the film's beginning, points of a picture
 * are pixels from its upper left corner.
 */
package tallledger.core.film;
