package tallledger.core.machine;

/** Families of machine; each brings its own cautions and steps. */
public enum Family {
    LATHE, KNEE_MILL, HORIZONTAL_MILL, UNIVERSAL_MILL, RADIAL_DRILL, PEDESTAL_DRILL,
    CYLINDRICAL_GRINDER, ROTARY_TABLE_GRINDER, CENTRELESS_GRINDER, MACHINING_CENTRE;

    public boolean isGrinder() {
        return this == CYLINDRICAL_GRINDER || this == ROTARY_TABLE_GRINDER || this == CENTRELESS_GRINDER;
    }

    public boolean isDrill() {
        return this == RADIAL_DRILL || this == PEDESTAL_DRILL;
    }

    public boolean isMill() {
        return this == KNEE_MILL || this == HORIZONTAL_MILL || this == UNIVERSAL_MILL || this == MACHINING_CENTRE;
    }
}
