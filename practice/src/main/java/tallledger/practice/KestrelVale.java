package tallledger.practice;

import java.util.List;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.MotorRating.Law;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Span;
import tallledger.core.drive.StageKind;
import tallledger.core.machine.Claim.Attribute;
import tallledger.core.machine.Claim.Source;
import tallledger.core.machine.Family;
import tallledger.core.reading.LengthUnit;

/** The invented shortlist of the Kestrel Vale Tramway's car-shed workshop, each machine with the truth its plate hides. */
public final class KestrelVale {

    private static final String SHED = "private shed, Kestrel Halt";
    private static final String OWNER = "a private owner";
    private static final String REBUILDER = "rebuilder’s works, Osier Lane";

    private KestrelVale() {
    }

    /** Those the demo surveys come first, in this order. */
    public static List<SimulatedMachine> shortlist() {
        return List.of(aldwark410(), dunmarshP20(), castervaleH1(), hexthorneVc(), brinmoorT1(), aldwark90(), brinmoorK3(), castervaleU2(),
                dunmarshR50(), eskholtC300(), farrowbyRt(), gransdaleCl());
    }

    /** Gap-bed lathe: one plate value misread (B3 says 280, the gears give 250), gear 3 growls. */
    public static SimulatedMachine aldwark410() {
        return Sketch.of("Aldwark", "410", Family.LATHE, "1974", "closing pattern shop, Tarn Wharf", "the pattern shop", LengthUnit.MM)
                .motor("1440").power("4", Law.CONSTANT_POWER).lever("range", "A B C")
                .lever("gear", StageKind.GEAR, Shifting.STOP_TO_SHIFT, LeverPattern.GATE, "1 2 3 4").reverses()
                .plate("31.5 45 63 90 125 180 280 355 500 710 1000 1400")
                .claim(Attribute.SPEED_COUNT, "12", Source.ADVERTISEMENT, "12 speeds, all working")
                .claim(Attribute.SLOWEST_SPEED, "31.5", Source.PLATE, "").claim(Attribute.FASTEST_SPEED, "1400", Source.PLATE, "")
                .claim(Attribute.FASTEST_SPEED, "1500", Source.ADVERTISEMENT, "31 to 1500 rpm")
                .claim(Attribute.REVERSES, "yes", Source.SELLER, "runs both ways").claim(Attribute.SWING, "410 mm", Source.PLATE, "")
                .claim(Attribute.CONDITION, "very good", Source.SELLER, "lovely quiet machine")
                .truth(250, "B", "3").unloaded(1.022).fault("gear", "3", Symptom.GROWLS, 0.95).build();
    }

    /** Bench lathe: inverter, back gear and step pulley; two sources give the back gear different ratios. */
    public static SimulatedMachine aldwark90() {
        return Sketch.of("Aldwark", "90", Family.LATHE, "1962", SHED, OWNER, LengthUnit.INCH)
                .motor("1400").power("0.75", Law.CONSTANT_TORQUE).sliding("inverter", StageKind.INVERTER, new Span(0.4, 1.6))
                .belt("1 63 125", "2 90 100", "3 112 71").ratios("back gear", StageKind.BACK_GEAR, "in 0.1667", "out 1").reverses()
                .claim(Attribute.OTHER, "back gear 6 to 1", Source.MANUAL, "reduction six to one")
                .claim(Attribute.OTHER, "back gear 5 to 1", Source.SELLER, "five to one, I think")
                .claim(Attribute.FASTEST_SPEED, "3500", Source.SELLER, "does three and a half thousand").build();
    }

    /** Knee mill: variator head in two ranges with neutral between; freshly rebuilt. */
    public static SimulatedMachine brinmoorK3() {
        return Sketch.of("Brinmoor", "K3", Family.KNEE_MILL, "1988", REBUILDER, "the rebuilder", LengthUnit.MM)
                .motor("1420").power("2.2", Law.CONSTANT_POWER)
                .lever("range", StageKind.GEAR, Shifting.STOP_TO_SHIFT, LeverPattern.ROW, "low N high")
                .sliding("variator", StageKind.VARIATOR, null).reverses().plate("56 450 400 3150")
                .claim(Attribute.SLOWEST_SPEED, "56", Source.PLATE, "").claim(Attribute.FASTEST_SPEED, "3150", Source.PLATE, "").build();
    }

    /** Training lathe: variator and two-speed motor. */
    public static SimulatedMachine brinmoorT1() {
        return Sketch.of("Brinmoor", "T1", Family.LATHE, "1991", REBUILDER, "the rebuilder", LengthUnit.MM)
                .windings(Shifting.SHIFTS_TURNING, "I 700", "II 1400").power("1.5", Law.CONSTANT_TORQUE)
                .sliding("variator", StageKind.VARIATOR, new Span(0.125, 1)).reverses().unloaded(1.01)
                .claim(Attribute.FASTEST_SPEED, "1400", Source.PLATE, "").build();
    }

    /** Universal mill: 18 speeds by three levers; a short visit. */
    public static SimulatedMachine castervaleU2() {
        return Sketch.of("Castervale", "U2", Family.UNIVERSAL_MILL, "1979", "private shed, Upper Vale", OWNER, LengthUnit.MM)
                .motor("1440").power("5.5", Law.CONSTANT_POWER).lever("back gear", StageKind.BACK_GEAR, Shifting.STOP_TO_SHIFT, LeverPattern.ROW, "L H")
                .lever("middle", "a b c").lever("quick", StageKind.GEAR, Shifting.SHIFTS_TURNING, LeverPattern.DIAL, "1 2 3").reverses()
                .plate("28 35.5 45 56 71 90 112 140 180 224 280 355 450 560 710 900 1120 1400")
                .claim(Attribute.SPEED_COUNT, "18", Source.PLATE, "").unloaded(1.015).build();
    }

    /** Horizontal mill: two interlocked levers behind a step pulley; the right lever will not go to high. */
    public static SimulatedMachine castervaleH1() {
        return Sketch.of("Castervale", "H1", Family.HORIZONTAL_MILL, "", "private shed, Upper Vale", OWNER, LengthUnit.INCH)
                .motor("1425").power("2.2", Law.CONSTANT_POWER).lever("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT, LeverPattern.ROW, "1 2 3")
                .lever("left lever", "in out").lever("right lever", "low high").reverses()
                .interlock("left lever", "out", "right lever", "high").plate("35.5 140 71 x 56 224 112 x 90 355 180 x")
                .claim(Attribute.SPEED_COUNT, "12", Source.ADVERTISEMENT, "twelve spindle speeds")
                .claim(Attribute.REVERSES, "yes", Source.SELLER, "").claim(Attribute.WEIGHT, "900 kg", Source.SELLER, "about nine hundred kilos")
                .unloaded(1.022).fault("right lever", "high", Symptom.WILL_NOT_ENGAGE, 1).build();
    }

    /** Radial drill: 21 speeds by a dial of seven and a range lever. */
    public static SimulatedMachine dunmarshR50() {
        return Sketch.of("Dunmarsh", "R50", Family.RADIAL_DRILL, "1969", "closing pattern shop, Tarn Wharf", "the pattern shop", LengthUnit.MM)
                .motor("1440").power("4", Law.CONSTANT_POWER).lever("range", "A B C")
                .lever("dial", StageKind.GEAR, Shifting.STOP_TO_SHIFT, LeverPattern.DIAL, "1 2 3 4 5 6 7").reverses()
                .plate("20 25 31.5 40 50 63 80 100 125 160 200 250 315 400 500 630 800 1000 1250 1600 2000")
                .feeds("feed range", "I II III", "feed knob", "1 2 3 4", "0.05 0.07 0.1 0.14 0.2 0.28 0.4 0.65 0.8 1.12 1.6 2.24")
                .claim(Attribute.SPEED_COUNT, "21", Source.PLATE, "").claim(Attribute.DRILLING_CAPACITY, "50 mm", Source.PLATE, "").build();
    }

    /** Pedestal drill: three windings by two belt steps, sound throughout; a capacity its power cannot carry. */
    public static SimulatedMachine dunmarshP20() {
        return Sketch.of("Dunmarsh", "P20", Family.PEDESTAL_DRILL, "1983", SHED, OWNER, LengthUnit.MM)
                .windings(Shifting.SHIFTS_TURNING, "I 700", "II 1400", "III 2800").power("1.9", Law.CONSTANT_POWER)
                .belt("L 80 355", "H 160 250").plate("160 450 315 900 630 1800")
                .claim(Attribute.SPEED_COUNT, "6", Source.PLATE, "").claim(Attribute.DRILLING_CAPACITY, "40 mm", Source.SELLER, "drills forty in steel")
                .claim(Attribute.FASTEST_SPEED, "1800", Source.PLATE, "").unloaded(1.006).build();
    }

    /** Cylindrical grinder: the wheel spindle on two grooves. */
    public static SimulatedMachine eskholtC300() {
        return Sketch.of("Eskholt", "C300", Family.CYLINDRICAL_GRINDER, "1977", REBUILDER, "the rebuilder", LengthUnit.MM)
                .motor("1450").power("4", Law.CONSTANT_POWER).belt("1 180 160", "2 224 160").plate("1600 2000").build();
    }

    /** Rotary-table surface grinder: one wheel speed. */
    public static SimulatedMachine farrowbyRt() {
        return Sketch.of("Farrowby", "RT", Family.ROTARY_TABLE_GRINDER, "1971", SHED, OWNER, LengthUnit.MM)
                .motor("1450").power("7.5", Law.CONSTANT_POWER).plate("1450").build();
    }

    /** Centreless grinder: the regulating wheel's drive. */
    public static SimulatedMachine gransdaleCl() {
        return Sketch.of("Gransdale", "CL", Family.CENTRELESS_GRINDER, "1980", "closing pattern shop, Tarn Wharf", "the pattern shop", LengthUnit.MM)
                .motor("1400").power("1.1", Law.CONSTANT_TORQUE).sliding("regulating wheel", StageKind.VARIATOR, new Span(0.0143, 0.214)).build();
    }

    /** Machining centre: two ranges changed by command at 1 800; going up it hunts. */
    public static SimulatedMachine hexthorneVc() {
        return Sketch.of("Hexthorne", "VC", Family.MACHINING_CENTRE, "1996", REBUILDER, "the rebuilder", LengthUnit.MM)
                .motor("1500").power("7.5", Law.CONSTANT_TORQUE).lever("range", StageKind.COMMANDED, Shifting.SHIFTS_TURNING, LeverPattern.ROW, "low high")
                .sliding("spindle drive", StageKind.INVERTER, null).reverses().plate("45 1800 1810 6000")
                .claim(Attribute.FASTEST_SPEED, "6000", Source.PLATE, "").claim(Attribute.CONDITION, "shifts fine", Source.SELLER, "always shifted fine here")
                .fault("range", "high", Symptom.HUNTS, 1).build();
    }
}
