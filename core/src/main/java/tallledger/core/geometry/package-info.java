/**
 * Form and place of surfaces from readings of an indicator.
 *
 * <p>Angles are in degrees on the spindle: zero is where the first reading is taken, and they grow the way the readings go round. Readings
 * and what comes of them are in mm; a page shows µm.
 */
package tallledger.core.geometry;
