package tallledger.core.machine;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.Numbering;
import tallledger.core.drive.Position;
import tallledger.core.drive.SpeedTable;
import tallledger.core.drive.Stage;
import tallledger.core.drive.Transmission;
import tallledger.core.family.Described;
import tallledger.core.family.Family;
import tallledger.core.family.FitOut;
import tallledger.core.ledger.Payload;
import tallledger.core.motion.Axis;
import tallledger.core.motion.FeedPlate;
import tallledger.core.motion.ThreadPlate;
import tallledger.core.plate.Lever;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reading.Power;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * A machine as described: one version of it.
 *
 * @param identity which machine
 * @param claims   what is said of it
 * @param train    its spindle drive; ratios may be unknown
 * @param plate    its speed plate, one lever for each stage that leaves a choice
 * @param motor    what the motor's plate says of its power, where anybody read it
 * @param feeds    its feed plate with levers and a unit of its own, where it has one
 * @param threads  its thread plate by levers, where it has one
 * @param fitOut   its axes and features
 */
public record MachineDescription(Identity identity, List<Claim> claims, DriveTrain train, SpeedPlate plate,
        Optional<MotorRating> motor, Optional<FeedPlate> feeds, Optional<ThreadPlate> threads, FitOut fitOut)
        implements
            Described {

    /** Steps that measure a size somebody claims, by what is claimed. */
    public static final Map<Claim.Attribute, String> SIZES = Map.of(Claim.Attribute.SWING, "size-swing", Claim.Attribute.BETWEEN_CENTRES,
            "size-between-centres", Claim.Attribute.UNDER_SPINDLE, "size-under-spindle", Claim.Attribute.ARM_RADIUS, "size-radius",
            Claim.Attribute.THROAT, "size-throat", Claim.Attribute.BORE, "size-bore", Claim.Attribute.CHUCK_SIZE, "size-chuck",
            Claim.Attribute.REST_SIZE, "size-rest", Claim.Attribute.GAP_SWING, "size-gap", Claim.Attribute.SLIDE_SWING, "size-over-slide");
    /** Steps that measure a table: its length, then its width. */
    public static final List<String> TABLE_SIDES = List.of("size-table-length", "size-table-width");
    private static final Pattern SIDE = Pattern.compile("(\\d[\\d.,/ -]*?)\\s*(mm|in|\"|″|”)?\\s*");
    private static final int LONGEST_SIDES = 80;
    public static final int MOST_CLAIMS = 90;

    public MachineDescription(Identity identity, List<Claim> claims, DriveTrain train, SpeedPlate plate) {
        this(identity, claims, train, plate, Optional.empty(), Optional.empty(), identity.family().traits().usual());
    }

    /** Without a thread plate. */
    public MachineDescription(Identity identity, List<Claim> claims, DriveTrain train, SpeedPlate plate, Optional<MotorRating> motor,
            Optional<FeedPlate> feeds, FitOut fitOut) {
        this(identity, claims, train, plate, motor, feeds, Optional.empty(), fitOut);
    }

    public MachineDescription {
        claims = List.copyOf(claims);
        if (claims.size() > MOST_CLAIMS) {
            throw Refused.because(MachineReason.CLAIMS_MANY, claims.size(), MOST_CLAIMS);
        }
        if (!plate.levers().equals(leversOf(train))) {
            throw Refused.because(MachineReason.PLATE_OTHER_LEVERS);
        }
    }

    /** The levers a plate must have for a drive. Neutral and the sweep of a sliding stage have no cell: neither is a speed. */
    public static List<Lever> leversOf(DriveTrain train) {
        return train.plateStages().stream()
                .map(stage -> new Lever(stage.name(), stage.positions().stream()
                        .filter(p -> !(p.transmission() instanceof Transmission.Neutral))
                        .filter(p -> !(p.transmission() instanceof Transmission.Sweep))
                        .map(Position::label).toList(), stage.kind().slides()))
                .toList();
    }

    public SpeedTable speeds() {
        return SpeedTable.of(train, plate);
    }

    @Override
    public Family family() {
        return identity.family();
    }

    /** Collets, and whatever else is claimed by number, once each: where two claim it, by the first. */
    @Override
    public List<CountedPieces> counted() {
        Map<String, CountedPieces> counted = new LinkedHashMap<>();
        for (Claim claim : claims) {
            if (claim.attribute().form() == Claim.Form.SERIES) {
                String what = claim.thing();
                counted.putIfAbsent(what.toLowerCase(Locale.ROOT), new CountedPieces(what, claim.count().orElseThrow()));
            }
        }
        return List.copyOf(counted.values());
    }

    @Override
    public Map<String, TypedLength> claimedSizes() {
        Map<String, TypedLength> sizes = new LinkedHashMap<>();
        for (Claim claim : claims) {
            String code = SIZES.get(claim.attribute());
            if (code != null) {
                sizes.putIfAbsent(code, TypedLength.parse(claim.value(), unit()));
            }
            List<TypedLength> sides = claim.attribute() == Claim.Attribute.TABLE_SIZE ? sides(claim.value(), unit()) : List.of();
            for (int i = 0; i < sides.size(); i++) {
                sizes.putIfAbsent(TABLE_SIDES.get(i), sides.get(i));
            }
        }
        return sizes;
    }

    /**
     * The sides of a table as somebody claims them, "9 x 42 in", the longer first; of a round one, or a square one given once, the one
     * figure. None where the text is no one or two lengths.
     */
    public static List<TypedLength> sides(String value, LengthUnit otherwise) {
        if (value.length() > LONGEST_SIDES) {
            return List.of();
        }
        String[] parts = value.strip().split("\\s*(?:x|×|by)\\s*", -1);
        List<TypedLength> sides = new ArrayList<>();
        String unit = "";
        for (int i = parts.length - 1; i >= 0; i--) {
            Matcher side = SIDE.matcher(parts[i]);
            if (!side.matches()) {
                return List.of();
            }
            unit = side.group(2) == null ? unit : side.group(2);
            try {
                sides.add(TypedLength.parse(side.group(1) + (unit.isEmpty() ? "" : " " + unit), otherwise));
            } catch (Refused noLength) {
                return List.of();
            }
        }
        sides.sort(Comparator.comparing(TypedLength::mm).reversed());
        return sides.size() <= TABLE_SIDES.size() ? List.copyOf(sides) : List.of();
    }

    @Override
    public List<String> redone() {
        Map<String, String> redone = new LinkedHashMap<>();
        claims.stream().filter(c -> c.attribute() == Claim.Attribute.REDONE)
                .forEach(c -> redone.putIfAbsent(c.value().toLowerCase(Locale.ROOT), c.value()));
        return List.copyOf(redone.values());
    }

    @Override
    public LengthUnit unit() {
        return identity.unit();
    }

    public Map<String, Object> toPayload() {
        Map<String, Object> plateFields = new HashMap<>(Map.of("cells", cells(plate)));
        plate.tolerance().ifPresent(t -> plateFields.put("tolerance", t.toPlainString()));
        Map<String, Object> fields = new HashMap<>(Map.of("identity", identity.toPayload(),
                "claims", claims.stream().map(Claim::toPayload).toList(), "drive", DriveCodec.write(train), "plate", plateFields,
                "fitOut", fitOut.toPayload()));
        motor.ifPresent(m -> fields.put("motor", Map.of("kilowatts", m.power().typed(), "law", m.law().name(),
                "efficiency", m.efficiency().toPlainString())));
        feeds.ifPresent(f -> fields.put("feeds", Map.of("cells", cells(f.plate()), "unit", f.unit().name(), "per", f.per().name(), "levers",
                levers(f.plate()))));
        threads.ifPresent(t -> fields.put("threads", Map.of("cells", cells(t.plate()), "counted", t.counted().name(), "levers",
                levers(t.plate()))));
        return fields;
    }

    private static List<Object> levers(SpeedPlate plate) {
        return plate.levers().stream().map(lever -> (Object) Map.of("name", lever.name(), "positions", lever.positions())).toList();
    }

    private static SpeedPlate plate(Payload p) {
        return new SpeedPlate(p.parts("levers").stream().map(l -> new Lever(l.text("name"), l.texts("positions"))).toList(), cells(p),
                Optional.empty());
    }

    private static List<Object> cells(SpeedPlate plate) {
        List<Object> cells = new ArrayList<>();
        plate.cells().forEach((key, cell) -> cells.add(Map.of("at", key, "shows", cell.typed())));
        return cells;
    }

    private static Map<List<String>, PlateCell> cells(Payload p) {
        Map<List<String>, PlateCell> cells = new HashMap<>();
        p.parts("cells").forEach(c -> cells.put(c.texts("at"), PlateCell.parse(c.text("shows"))));
        return cells;
    }

    /** Plates of before they had a unit were typed in the machine's own, by the turn. */
    private static FeedPlate feeds(Payload p, LengthUnit machine) {
        return new FeedPlate(plate(p), p.optionalText("unit").map(LengthUnit::valueOf).orElse(machine),
                p.optionalText("per").map(Axis.Per::valueOf).orElse(Axis.Per.REV));
    }

    public static MachineDescription from(Payload p) {
        DriveTrain train = DriveCodec.read(p.part("drive"));
        Optional<BigDecimal> tolerance = p.part("plate").optionalDecimal("tolerance");
        Identity identity = Identity.from(p.part("identity"));
        return new MachineDescription(identity,
                p.parts("claims").stream().map(Claim::from).toList(), train,
                new SpeedPlate(leversOf(train), cells(p.part("plate")), tolerance),
                p.has("motor") ? Optional.of(motor(p.part("motor"))) : Optional.empty(),
                p.has("feeds") ? Optional.of(feeds(p.part("feeds"), identity.unit())) : Optional.empty(),
                p.has("threads") ? Optional.of(p.part("threads"))
                        .map(t -> new ThreadPlate(plate(t), ThreadPlate.Counted.valueOf(t.text("counted")))) : Optional.empty(),
                p.has("fitOut") ? FitOut.from(p.part("fitOut")) : identity.family().traits().usual());
    }

    private static MotorRating motor(Payload p) {
        return new MotorRating(Power.parse(p.text("kilowatts")), MotorRating.Law.valueOf(p.text("law")), p.decimal("efficiency"));
    }

    /** The same machine with one plate cell read anew. */
    public MachineDescription withCell(List<String> key, PlateCell cell) {
        return new MachineDescription(identity, claims, train, plate.with(key, cell), motor, feeds, threads, fitOut);
    }

    /** The same machine with its levers labelled as they were found to be: each position has the plate value that was read there. */
    public MachineDescription with(Numbering numbering) {
        Map<List<String>, PlateCell> cells = new LinkedHashMap<>(plate.cells());
        train.routes().forEach(r -> cells.put(train.plateKey(r), plate.cell(train.plateKey(numbering.meant(r)))));
        return new MachineDescription(identity, claims, numbering.of(train), new SpeedPlate(plate.levers(), cells, plate.tolerance()),
                motor,
                feeds, threads, fitOut);
    }

    /**
     * The same machine with one ratio that nobody knew before.
     *
     * @param slower how many times slower that position is than another one of its stage, whose ratio is known
     * @throws Refused where that other one's is not, or the ratio is beyond what a drive has
     */
    public MachineDescription with(String stage, String position, String against, BigDecimal slower) {
        List<Stage> stages = train.stages().stream().map(s -> !s.name().equals(stage) ? s
                : s.with(position,
                        new Transmission.Ratio(new BigDecimal(s.positions().stream().filter(p -> p.label().equals(against))
                                .flatMap(p -> p.transmission().factor().stream()).findFirst().orElseThrow(() -> Refused.because(
                                        MachineReason.PLATE_OTHER_LEVERS))
                                .low()).divide(slower, MathContext.DECIMAL64))))
                .toList();
        return new MachineDescription(identity, claims, new DriveTrain(stages, train.exclusions()), plate, motor, feeds, threads, fitOut);
    }

    /** The same machine with other axes and features. */
    public MachineDescription with(FitOut other) {
        return new MachineDescription(identity, claims, train, plate, motor, feeds, threads,
                other.checkedFor(identity.family(), identity.unit()));
    }

    /** Stages a person moves, direction included. */
    public List<Stage> choices() {
        return train.stages().stream().filter(Stage::isChoice).toList();
    }
}
