/** How smooth a surface is: what feed and nose should leave, roughness from a trace (lengths along in mm, heights in µm), grades. */
package tallledger.core.finish;
