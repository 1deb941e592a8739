/** The house's book: its rules and its table of checks, every version of them, as its entries have them. */
package tallledger.core.house;
