/**
 * The spindle drive: a row of stages from motor to spindle, the routes through it, and the speeds they give.
 *
 * <p>Terms: a <em>stage</em> has <em>positions</em>, set by a lever, belt or switch; each position is one transmission with
 * a factor out/in (for the motor: its speed, min⁻¹, at the plate's supply frequency). A <em>route</em> is one position of every
 * stage. Routes whose speeds lie within 0.5 % of the group's lowest are one <em>speed</em>. Direction of rotation is a stage
 * of two positions with factor 1: it multiplies routes, never speeds. A stage that slides (variator, inverter) has three
 * positions: its low end, its high end and the sweep between them, which is a range and no speed. An inverter may have a fourth,
 * its plate frequency, at which its factor is 1.
 *
 * <p>Stages are counted from 0 at the motor. Out of scope: what happens inside a stage.
 */
package tallledger.core.drive;
