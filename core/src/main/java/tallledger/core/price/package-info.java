/** Costs with their spread, and what a machine is asked and thought to be worth. */
package tallledger.core.price;
