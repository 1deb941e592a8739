package tallledger.practice;

import java.util.List;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.MotorRating.Law;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Span;
import tallledger.core.drive.StageKind;
import tallledger.core.family.Family;
import tallledger.core.machine.Claim.Attribute;
import tallledger.core.machine.Claim.Source;
import tallledger.core.motion.Axis;
import tallledger.core.unit.LengthUnit;

/** The invented shortlist of the Kestrel Vale Tramway's car-shed workshop, each machine with the truth its plate hides. */
public final class KestrelVale {

    private static final String SHED = "private shed, Kestrel Halt";
    private static final String OWNER = "a private owner";
    private static final String REBUILDER = "rebuilder’s works, Osier Lane";

    /** 100 mm, 12 µm of play in X: the ways part at 0° and 180°. */
    private static final String CIRCLE_WITH_LOST_MOTION = "nominal=100 mm|counter=" + circle(1) + "|clockwise=" + circle(-1);

    private static String circle(int way) {
        return java.util.stream.IntStream.range(0, 120).mapToObj(k -> {
            double t = Math.toRadians(3 * k + 1);
            double lost = way * 6 * Math.signum(Math.sin(t)) * Math.cos(t);
            return 3 * k + 1 + " " + java.math.BigDecimal.valueOf(2 * Math.sin(2 * t) + lost).setScale(1, java.math.RoundingMode.HALF_UP)
                    .toPlainString();
        }).collect(java.util.stream.Collectors.joining(";"));
    }

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
                .motor("1440").power("4", Law.CONSTANT_POWER).plateAsItStands("range", "gear", LeverPattern.GATE, """
                           1    2    3    4
                        A  31.5 45   63   90
                        B  125  180  280  355
                        C  500  710  1000 1400
                        """).reverses()
                .claim(Attribute.SPEED_COUNT, "12", Source.ADVERTISEMENT, "12 speeds, all working")
                .claim(Attribute.SLOWEST_SPEED, "31.5", Source.PLATE, "").claim(Attribute.FASTEST_SPEED, "1400", Source.PLATE, "")
                .claim(Attribute.FASTEST_SPEED, "1500", Source.ADVERTISEMENT, "31 to 1500 rpm")
                .claim(Attribute.REVERSES, "yes", Source.SELLER, "runs both ways").claim(Attribute.SWING, "410 mm", Source.PLATE, "")
                .claim(Attribute.CONDITION, "very good", Source.SELLER, "lovely quiet machine")
                .truth(250, "B", "3").unloaded(1.022).fault("gear", "3", Symptom.GROWLS, 0.95)
                .has("GAP DOUBLE_DIALS FOOT_BRAKE").supply("400", "50", "4", "8.6", true)
                .axis("carriage", "1000 mm", Axis.Per.REV, "0.05", "0.8", "").axis("cross slide", "250 mm", Axis.Per.REV, "0.025", "0.4",
                        "")
                .chart("6 mm", "1, 2", "0.75 mm; 1 mm; 1.25 mm; 1.5 mm; 1.75 mm; 2 mm; 2.5 mm; 3 mm; 4 mm; 12 tpi; 8 tpi", "60-150",
                        "20-127")
                .wrong("change-wheels", "wheels=20 24 28 30 32 36 40 48 60")
                .wrong("gap-dents", "remark=three dents in the left way, edges raised")
                .wrong("supply", "source=ROTARY_CONVERTER|l12=402|l23=391|l31=410|hertz=50.0|rating=5.5|measuredBy=a licensed electrician")
                .wrong("backlash.cross-slide", "minus=0.12mm 0.12mm 0.13mm|middle=0.46mm 0.45mm 0.47mm|plus=0.14mm 0.13mm 0.14mm")
                .wrong("bed-straight", "sensitivity=0.02|feet=250 mm|divisions=-4 -3 -1 1 0 1 2 2 2|remark=hollow where the carriage lives")
                .wrong("turn-parallel", "head=39.980 mm|tail=40.012 mm|apart=150 mm|centres=600 mm")
                .wrong("lamp", "remark=no bulb").build();
    }

    /** Bench lathe: inverter, back gear and step pulley; two sources give the back gear different ratios. */
    public static SimulatedMachine aldwark90() {
        return Sketch.of("Aldwark", "90", Family.LATHE, "1962", SHED, OWNER, LengthUnit.INCH)
                .motor("1400").power("1 hp", Law.CONSTANT_TORQUE).sliding("inverter", StageKind.INVERTER, new Span(0.4, 1.6))
                .belt("1 63 125", "2 90 100", "3 112 71").ratios("back gear", StageKind.BACK_GEAR, "in 0.1667", "out 1").reverses()
                .claim(Attribute.OTHER, "back gear 6 to 1", Source.MANUAL, "reduction six to one")
                .claim(Attribute.OTHER, "back gear 5 to 1", Source.SELLER, "five to one, I think")
                .claim(Attribute.FASTEST_SPEED, "3500", Source.SELLER, "does three and a half thousand")
                .has("-COOLANT -EMERGENCY_STOP -FEED_SHAFT -STEADY -FOLLOW_STEADY -CENTRAL_LUBRICATION")
                .supply("220-240", "50", "1 hp", "3.4", false)
                .chart("8 tpi", "1", "8 tpi; 10 tpi; 12 tpi; 16 tpi; 20 tpi; 24 tpi; 1.5 mm", "50-140", "20-127")
                .wrong("rack", "remark=two teeth rounded by the headstock").build();
    }

    /** Knee mill: variator head in two ranges with neutral between; freshly rebuilt. */
    public static SimulatedMachine brinmoorK3() {
        return Sketch.of("Brinmoor", "K3", Family.KNEE_MILL, "1988", REBUILDER, "the rebuilder", LengthUnit.MM)
                .motor("1420").power("2.2", Law.CONSTANT_POWER)
                .lever("range", StageKind.GEAR, Shifting.STOP_TO_SHIFT, LeverPattern.ROW, "low N high")
                .sliding("variator", StageKind.VARIATOR, null).reverses().plate("56 450 400 3150")
                .claim(Attribute.SLOWEST_SPEED, "56", Source.PLATE, "").claim(Attribute.FASTEST_SPEED, "3150", Source.PLATE, "")
                .claim(Attribute.TRAVEL, "760 mm", Source.ADVERTISEMENT, "table travel 760", "table")
                .has("HEAD_NODS RAM FOOT_BRAKE").supply("400", "50", "2.2", "5.1", false)
                .axis("table", "760 mm", Axis.Per.MIN, "20", "800", "")
                .axis("saddle", "300 mm", Axis.Per.MIN, "", "", "").axis("knee", "400 mm", Axis.Per.MIN, "", "", "")
                .axis("quill", "125 mm", Axis.Per.REV, "0.04", "0.15", "")
                .ownChart("mill-nose-runout 0.010 0.004|axial-float 0.010 0.005|tram 0.020 0.012|table-parallel 0.015 0.009")
                .wrong("t-slot", "spacing=75 mm|along=0.000mm 0.004mm 0.007mm 0.011mm 0.015mm")
                .wrong("quill-rates", "count=3").wrong("trip-repeat.quill", "stops=0.00mm 0.02mm 0.09mm 0.01mm 0.02mm").build();
    }

    /** Training lathe: variator and two-speed motor. */
    public static SimulatedMachine brinmoorT1() {
        return Sketch.of("Brinmoor", "T1", Family.LATHE, "1991", REBUILDER, "the rebuilder", LengthUnit.MM)
                .windings(Shifting.SHIFTS_TURNING, "I 700", "II 1400").power("1.5", Law.CONSTANT_TORQUE)
                .sliding("variator", StageKind.VARIATOR, new Span(0.125, 1)).reverses().unloaded(1.01)
                .has("GUARD_SWITCH -GAP").supply("400", "50", "1.5", "3.9", false).readout("cross slide")
                .wrong("readout.cross-slide", "lengths=25mm 25.006mm/50mm 50.009mm/75mm 75.017mm/100mm 100.021mm/125mm 125.029mm")
                .wrong("guard", "log=runs 0.00/guard-opened 3.10/stops 5.40/guard-closed 9.00/starts-by-itself 10.20|remark=it starts "
                        + "as the guard closes")
                .claim(Attribute.FASTEST_SPEED, "1400", Source.PLATE, "").build();
    }

    /** Universal mill: 18 speeds by three levers; a short visit. */
    public static SimulatedMachine castervaleU2() {
        return Sketch.of("Castervale", "U2", Family.UNIVERSAL_MILL, "1979", "private shed, Upper Vale", OWNER, LengthUnit.MM)
                .motor("1440").power("5.5", Law.CONSTANT_POWER).lever("back gear", StageKind.BACK_GEAR, Shifting.STOP_TO_SHIFT,
                        LeverPattern.ROW, "L H")
                .lever("middle", "a b c").lever("quick", StageKind.GEAR, Shifting.SHIFTS_TURNING, LeverPattern.DIAL, "1 2 3").reverses()
                .plate("28 35.5 45 56 71 90 112 140 180 224 280 355 450 560 710 900 1120 1400")
                .claim(Attribute.SPEED_COUNT, "18", Source.PLATE, "").claim(Attribute.COLLETS, "1 to 16 by 0.5", Source.SELLER,
                        "collets, one to sixteen by halves")
                .unloaded(1.015).has("-HEAD_SWIVELS").supply("380-400", "50", "5.5", "11.4", true)
                .axis("table", "900 mm", Axis.Per.MIN, "16", "800", "2500")
                .axis("saddle", "260 mm", Axis.Per.MIN, "16", "800", "2500").axis("knee", "400 mm", Axis.Per.MIN, "6.3", "315", "1000")
                .wrong("arbor-runout", "first=0.105mm 0.097mm 0.076mm 0.049mm 0.022mm 0.003mm -0.004mm 0.004mm 0.024mm 0.051mm 0.078mm "
                        + "0.098mm|"
                        + "turned=-0.004mm 0.004mm 0.026mm 0.053mm 0.079mm 0.098mm 0.105mm 0.096mm 0.075mm 0.048mm 0.021mm "
                        + "0.003mm|remark=goes round with the arbor")
                .wrong("dividing-wheels", "wheels=24 28 32 40 44 48 56 64").build();
    }

    /** Horizontal mill: two interlocked levers behind a step pulley; the right lever will not go to high. */
    public static SimulatedMachine castervaleH1() {
        return Sketch.of("Castervale", "H1", Family.HORIZONTAL_MILL, "", "private shed, Upper Vale", OWNER, LengthUnit.INCH)
                .motor("1425").power("3 hp", Law.CONSTANT_POWER).lever("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT, LeverPattern.ROW,
                        "1 2 3")
                .geared("left lever", "in 24:48", "out 40:40").geared("right lever", "low 18:71", "high 44:44").reverses()
                .interlock("left lever", "out", "right lever", "high").plate("35.5 140 71 x 56 224 112 x 90 355 180 x")
                .claim(Attribute.SPEED_COUNT, "12", Source.ADVERTISEMENT, "twelve spindle speeds")
                .claim(Attribute.REVERSES, "yes", Source.SELLER, "").claim(Attribute.WEIGHT, "1900 to 2000 lb", Source.SELLER,
                        "nineteen hundred, two thousand pounds")
                .claim(Attribute.TRAVEL, "26 in", Source.SELLER, "the table runs a good twenty-six", "table")
                .unloaded(1.022).fault("right lever", "high", Symptom.WILL_NOT_ENGAGE, 1)
                .supply("400", "50", "3 hp", "5.0", false).axis("table", "24 in", Axis.Per.MIN, "0.5", "16", "")
                .wrong("milled-roughness", SimulatedTrace.chatter(71.0, 71, 0.3048))
                .wrong("lock.saddle", "remark=handle at the end of its thread, the saddle can be pushed").build();
    }

    /** Radial drill: 21 speeds by a dial of seven and a range lever. */
    public static SimulatedMachine dunmarshR50() {
        return Sketch.of("Dunmarsh", "R50", Family.RADIAL_DRILL, "1969", "closing pattern shop, Tarn Wharf", "the pattern shop",
                LengthUnit.MM)
                .motor("1440").power("4", Law.CONSTANT_POWER).plateAsItStands("range", "dial", LeverPattern.DIAL, """
                           1   2   3    4    5    6    7
                        A  20  25  31.5 40   50   63   80
                        B  100 125 160  200  250  315  400
                        C  500 630 800  1000 1250 1600 2000
                        """).reverses()
                .feeds("feed range", "I II III", "feed knob", "1 2 3 4", "0.05 0.07 0.1 0.14 0.2 0.28 0.4 0.65 0.8 1.12 1.6 2.24")
                .claim(Attribute.SPEED_COUNT, "21", Source.PLATE, "").claim(Attribute.DRILLING_CAPACITY, "50 mm", Source.PLATE, "")
                .has("TAPPING CLAMPED_TOGETHER -LAMP").supply("400", "50", "4", "8.8", false)
                .axis("spindle", "300 mm", Axis.Per.REV, "0.05", "2.24", "").axis("head", "950 mm", Axis.Per.MIN, "", "", "")
                .axis("arm", "640 mm", Axis.Per.MIN, "", "", "900")
                .wrong("clamp-arm", "log=clamp-pressed 0.00/arm-holds 5.60/release-pressed 9.10/arm-moves 10.40|remark=lags behind the key")
                .build();
    }

    /** Pedestal drill: three windings by two belt steps, sound throughout; a capacity its power cannot carry. */
    public static SimulatedMachine dunmarshP20() {
        return p20("1983", SHED, OWNER).claim(Attribute.DRILLING_CAPACITY, "40 mm", Source.SELLER, "drills forty in steel").unloaded(1.006)
                .wrong("depth-stop", "remark=slips under a firm hand").build();
    }

    /** The same drill in another shed, to be laid beside it: dearer, its spindle worn. */
    public static SimulatedMachine dunmarshP20Sister() {
        return p20("1986", "closing pattern shop, Tarn Wharf", "the pattern shop").called("Dunmarsh P20, pattern shop").unloaded(1.012)
                .wrong("drill-runout", "value=0.142 mm|remark=seen by eye")
                .wrong("quill-spring", "remark=drops the last third").build();
    }

    private static Sketch p20(String year, String seenAt, String offeredBy) {
        return Sketch.of("Dunmarsh", "P20", Family.PEDESTAL_DRILL, year, seenAt, offeredBy, LengthUnit.MM)
                .windings(Shifting.SHIFTS_TURNING, "I 700", "II 1400", "III 2800").power("1.9", Law.CONSTANT_POWER)
                .belt("L 80 355", "H 160 250").plate("160 450 315 900 630 1800")
                .claim(Attribute.SPEED_COUNT, "6", Source.PLATE, "").claim(Attribute.FASTEST_SPEED, "1800", Source.PLATE, "")
                .has("-CENTRAL_LUBRICATION -COOLANT").supply("400", "50", "1.9", "4.6", false)
                .axis("spindle", "120 mm", Axis.Per.MIN, "", "", "");
    }

    /** Cylindrical grinder: the wheel spindle on two grooves. */
    public static SimulatedMachine eskholtC300() {
        return Sketch.of("Eskholt", "C300", Family.CYLINDRICAL_GRINDER, "1977", REBUILDER, "the rebuilder", LengthUnit.MM)
                .motor("1450").power("4", Law.CONSTANT_POWER).belt("1 180 160", "2 224 160").plate("1600 2000")
                .said(Source.SELLER, "rebuilt by the seller; new panel; released from storage in spring")
                .turns("work head 45 90 180 355 ± 10 %")
                .has("WAY_COVERS").supply("400", "50", "4", "8.5", true).axis("table", "320 mm", Axis.Per.MIN, "100", "6000", "")
                .axis("wheel slide", "200 mm", Axis.Per.MIN, "", "", "2000").unloaded(1.01)
                .wrong("table-reversal", "dwell-left=2|dwell-right=2|log=left-dog 0.00/leaves-left 2.10/right-dog 8.00/leaves-right "
                        + "8.30/left-dog 14.20|remark=no dwell at the right")
                .wrong("ground-round", "round=0.0180mm 0.0200mm 0.0223mm 0.0200mm 0.0182mm 0.0201mm 0.0222mm 0.0199mm 0.0181mm 0.0202mm "
                        + "0.0221mm 0.0200mm|remark=three lobes, the steady's")
                .wrong("way-covers", "remark=one wiper torn").build();
    }

    /** Rotary-table surface grinder: one wheel speed. */
    public static SimulatedMachine farrowbyRt() {
        return Sketch.of("Farrowby", "RT", Family.ROTARY_TABLE_GRINDER, "1971", SHED, OWNER, LengthUnit.MM)
                .motor("1450").power("7.5", Law.CONSTANT_POWER).plate("1450").turns("table 10 to 40")
                .supply("400", "50", "7.5", "15.2", true).axis("wheel head", "250 mm", Axis.Per.MIN, "", "", "300")
                .axis("saddle", "400 mm", Axis.Per.MIN, "50", "2000", "").unloaded(1.012)
                .wrong("spark-out", "passes=4|log=at-zero 0.00/pass 4.10/pass 8.20/pass 12.20/chuck-stops 14.00/wheel-stops "
                        + "14.90/table-parks 17.20|remark=one pass short")
                .build();
    }

    /** Centreless grinder: the regulating wheel's drive. */
    public static SimulatedMachine gransdaleCl() {
        return Sketch.of("Gransdale", "CL", Family.CENTRELESS_GRINDER, "1980", "closing pattern shop, Tarn Wharf", "the pattern shop",
                LengthUnit.MM)
                .motor("1400").power("1.1", Law.CONSTANT_TORQUE).sliding("regulating wheel", StageKind.VARIATOR, new Span(0.0143, 0.214))
                .supply("400", "50", "7.5", "15.0", true).axis("infeed slide", "60 mm", Axis.Per.MIN, "1", "60", "")
                .wrong("work-rest-blade", "remark=hollow worn in the carbide edge").build();
    }

    /** Machining centre: two ranges changed by command at 1 800; going up it hunts. */
    public static SimulatedMachine hexthorneVc() {
        return Sketch.of("Hexthorne", "VC", Family.MACHINING_CENTRE, "1996", REBUILDER, "the rebuilder", LengthUnit.MM)
                .motor("1500").power("7.5", Law.CONSTANT_TORQUE).lever("range", StageKind.COMMANDED, Shifting.SHIFTS_TURNING,
                        LeverPattern.ROW, "low high")
                .sliding("spindle drive", StageKind.INVERTER, null).reverses().plate("45 1800 1810 6000")
                .claim(Attribute.FASTEST_SPEED, "6000", Source.PLATE, "").claim(Attribute.CONDITION, "shifts fine", Source.SELLER,
                        "always shifted fine here")
                .has("TOOL_CHANGER WAY_COVERS GUARD_SWITCH").supply("400", "50", "7.5", "22", false)
                .axis("X", "500 mm", Axis.Per.MIN, "10", "4000", "15000")
                .axis("Y", "400 mm", Axis.Per.MIN, "10", "4000", "15000").axis("Z", "450 mm", Axis.Per.MIN, "10", "4000", "12000")
                .wrong("circle-test", CIRCLE_WITH_LOST_MOTION)
                .wrong("commanded-shift", "log=set-below 0.00/runs 2.00/set-above 6.00/stops 7.80/shifts 8.90/hunts 10.10/hunts "
                        + "11.60/alarm 14.00|remark=to and fro, then an alarm")
                .fault("range", "high", Symptom.HUNTS, 1).build();
    }
}
