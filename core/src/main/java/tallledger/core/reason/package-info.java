/** Reasons and refusals: how every other package of core says why, without writing the words itself. */
package tallledger.core.reason;
