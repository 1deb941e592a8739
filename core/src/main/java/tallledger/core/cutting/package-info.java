/**
 * Cuts reckoned before they are made: surface speed v_c in m/min, feed f in mm/rev, depth a_p and width a_e in mm, specific force k_c in
 * N/mm², power in kW at the tool. Tables of v_c and k_c are typical values, marked so; whoever cuts goes by the tool's maker.
 */
package tallledger.core.cutting;
