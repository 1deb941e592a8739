/** What must never turn faster than its mark: wheels, chucks, faceplates. Speeds in min⁻¹, surface speeds in m/s, diameters in mm. */
package tallledger.core.safety;
