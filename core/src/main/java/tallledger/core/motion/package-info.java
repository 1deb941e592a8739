/**
 * Movement: feeds and traverses, trips, travels, backlash, change wheels and threads.
 *
 * <p>Lengths in mm, times in s, feed rates in mm/min, feeds in mm/rev. An axis moves to its <em>plus</em> and its
 * <em>minus</em> side, named as people at the machine name them ("left", "up"). Backlash is positive and is what the hand
 * wheel turns before the slide follows.
 */
package tallledger.core.motion;
