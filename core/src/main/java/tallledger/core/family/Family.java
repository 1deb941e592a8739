package tallledger.core.family;

/** Families of machine; each brings its own cautions and steps, and has a file of its own for them. */
public enum Family {
    LATHE, KNEE_MILL, HORIZONTAL_MILL, UNIVERSAL_MILL, RADIAL_DRILL, PEDESTAL_DRILL,
    CYLINDRICAL_GRINDER, ROTARY_TABLE_GRINDER, CENTRELESS_GRINDER, MACHINING_CENTRE;

    public Traits traits() {
        return switch (this) {
            case LATHE -> Lathe.TRAITS;
            case KNEE_MILL -> KneeMill.TRAITS;
            case HORIZONTAL_MILL -> HorizontalMill.TRAITS;
            case UNIVERSAL_MILL -> UniversalMill.TRAITS;
            case RADIAL_DRILL -> RadialDrill.TRAITS;
            case PEDESTAL_DRILL -> PedestalDrill.TRAITS;
            case CYLINDRICAL_GRINDER -> CylindricalGrinder.TRAITS;
            case ROTARY_TABLE_GRINDER -> RotaryTableGrinder.TRAITS;
            case CENTRELESS_GRINDER -> CentrelessGrinder.TRAITS;
            case MACHINING_CENTRE -> MachiningCentre.TRAITS;
        };
    }
}
