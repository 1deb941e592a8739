/**
 * Units and figures with a unit. Core reckons in millimetres, kilowatts and so on, whatever a machine is marked in; {@link
 * tallledger.core.unit.Unit#shownIn} says which unit a figure is shown in on a metric and on an inch machine. What people type is not
 * here: its spellings are in {@code reading}.
 */
package tallledger.core.unit;
