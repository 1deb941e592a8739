/**
 * Simulated machines with hidden faults, and simulated instruments that read them. A simulated machine knows the truth (true speeds,
 * faulty elements); a survey sees only what the instrument shows and what the fault sounds like. Everything is drawn from a
 * seeded generator, so a demonstration repeats exactly.
 */
package tallledger.practice;
