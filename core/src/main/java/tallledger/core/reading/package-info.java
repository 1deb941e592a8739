/**
 * What a person types or taps at a machine, made into a number without losing what was typed.
 *
 * <p>Conventions: lengths in mm, speeds in min⁻¹ (rpm), times in s. The typed text stays beside the canonical value and
 * decides the comparison against limits (decimal, never binary). A comma before exactly three digits groups thousands,
 * any other comma is a decimal comma. Out of scope: feeds per tooth, angles.
 */
package tallledger.core.reading;
