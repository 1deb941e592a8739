/**
 * Which part is to blame: causes behind wrong speeds, suspects behind symptoms by Bayes' rule over all sets of one and two
 * elements, the next run that tells most, and what to look at first.
 *
 * <p>Chances are house starting values, open to change. Entropy is in bits. A wrong reading is a matter for
 * {@link tallledger.core.blame.SpeedCauses}; only symptoms weigh on {@link tallledger.core.blame.Blame}.
 */
package tallledger.core.blame;
