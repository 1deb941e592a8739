package tallledger.core.survey;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.sound.SoundFindings;
import tallledger.core.sound.SoundFindings.DrivePeak;

/**
 * A recording of a speed that proves something (W 3.8): looked at for the speed as it was read last, or the plate's where nobody read it,
 * not treated by what recorded it, not clipped, loud enough over the room.
 *
 * @param recording the first such of its route since the last repair of something on it; further ones add nothing
 * @param route     it is of
 * @param findings  what it showed
 */
public record HeardSound(Recording recording, Route route, SoundFindings findings) {

    private static final int FEWEST_OTHERS = 2;
    private static final double MINUTE = 60;

    /** One of each route that has any, in the order they were made. */
    public static List<HeardSound> of(SpindleSurvey survey) {
        Optional<BigDecimal> room = room(survey.recordings());
        List<HeardSound> all = new ArrayList<>();
        for (Recording recording : survey.recordings()) {
            Optional<Route> route = survey.machine().train().routeByKey(recording.task());
            if (route.isPresent() && unfit(survey, recording, room).isEmpty() && !isFromBeforeRepair(survey, recording, route.get())
                    && all.stream().noneMatch(h -> h.route.equals(route.get()))) {
                all.add(new HeardSound(recording, route.get(), recording.found().orElseThrow()));
            }
        }
        return List.copyOf(all);
    }

    /** Why a recording of a speed proves nothing; empty where it does. */
    public static List<Reason> unfit(SpindleSurvey survey, Recording recording) {
        return unfit(survey, recording, room(survey.recordings()));
    }

    private static List<Reason> unfit(SpindleSurvey survey, Recording recording, Optional<BigDecimal> room) {
        if (recording.found().isEmpty()) {
            return List.of(Reason.of(SurveyReason.SOUND_NOT_LOOKED_AT));
        }
        SoundFindings found = recording.found().get();
        List<Reason> unfit = new ArrayList<>();
        if (recording.treated() == Recording.Treated.YES) {
            unfit.add(Reason.of(SurveyReason.SOUND_TREATED));
        }
        unfit.addAll(found.unfit(recording.isOfRoom() ? Optional.empty() : room));
        Optional<Double> now = recording.isOfRoom() ? Optional.empty()
                : survey.machine().train().routeByKey(recording.task()).flatMap(r -> speed(survey, r));
        now.filter(n -> !found.isFor(n)).ifPresent(n -> unfit.add(Reason.of(SurveyReason.SOUND_OTHER_SPEED, found.rpm(),
                BigDecimal.valueOf(n).setScale(1, RoundingMode.HALF_UP))));
        return List.copyOf(unfit);
    }

    /** Overall level of the room as it was recorded last, dB. */
    private static Optional<BigDecimal> room(List<Recording> recordings) {
        return recordings.stream().filter(r -> r.isOfRoom() && r.treated() != Recording.Treated.YES)
                .filter(r -> r.found().filter(f -> f.unfit(Optional.empty()).isEmpty()).isPresent())
                .max(Comparator.comparingInt(Recording::entry)).flatMap(Recording::found).map(SoundFindings::overall);
    }

    private static boolean isFromBeforeRepair(SpindleSurvey survey, Recording recording, Route route) {
        return survey.repairs().stream().anyMatch(r -> r.entry() > recording.entry() && r.part().isOn(survey.machine().train(), route));
    }

    /** Speed of a route as it was read last, else as the plate says, min⁻¹. */
    public static Optional<Double> speed(SpindleSurvey survey, Route route) {
        return read(survey, route).or(() -> survey.table().speedOf(route).flatMap(Speed::expected));
    }

    private static Optional<Double> read(SpindleSurvey survey, Route route) {
        return Optional.ofNullable(survey.latest().get(route)).flatMap(Run::reading).map(r -> r.rpm().doubleValue());
    }

    /**
     * Whether what it does not have says something: only where the speed was read, so that its orders were looked for where they are, and
     * where nothing can have been taken out of the sound by what recorded it.
     */
    public boolean isSilenceKnown() {
        return findings.read() && recording.treated() == Recording.Treated.NOT;
    }

    public boolean knocks() {
        return findings.shafts().stream().anyMatch(s -> s.knocks().orElse(false));
    }

    /**
     * Whether it is quiet (W 3.8): no knock, and no peak of the drive more than 12 dB over the same order at the machine's other recorded
     * speeds, their median. Empty where it cannot be said: fewer than two others, or an order that lies outside what they reach.
     *
     * @param all of the machine, itself among them
     */
    public Optional<Boolean> isQuiet(List<HeardSound> all, SpindleSurvey survey) {
        if (knocks()) {
            return Optional.of(false);
        }
        double most = survey.rules().value(Rule.QUIET_OVER);
        List<HeardSound> others = others(all, survey);
        if (others.size() < FEWEST_OTHERS || !isSilenceKnown()) {
            return Optional.empty();
        }
        boolean known = true;
        for (DrivePeak peak : findings.peaks()) {
            OptionalDouble over = over(peak, others);
            if (over.isPresent() && over.getAsDouble() > most) {
                return Optional.of(false);
            }
            known &= over.isPresent();
        }
        return known ? Optional.of(true) : Optional.empty();
    }

    /** Recordings of other speeds, of which levels are known. */
    private List<HeardSound> others(List<HeardSound> all, SpindleSurvey survey) {
        return all.stream().filter(h -> h.recording.treated() == Recording.Treated.NOT)
                .filter(h -> !survey.table().speedOf(h.route).equals(survey.table().speedOf(route))).toList();
    }

    /** How far a peak stands over the median level of its order at the others, dB; empty where fewer than two reach it. */
    private OptionalDouble over(DrivePeak peak, List<HeardSound> others) {
        double order = peak.hertz().doubleValue() / (findings.rpm().doubleValue() / MINUTE);
        double[] levels = others.stream().map(h -> h.findings.level(order * h.findings.rpm().doubleValue() / MINUTE))
                .flatMapToDouble(l -> l.stream()).sorted().toArray();
        if (levels.length < FEWEST_OTHERS) {
            return OptionalDouble.empty();
        }
        int half = levels.length / 2;
        double median = levels.length % 2 == 1 ? levels[half] : (levels[half - 1] + levels[half]) / 2;
        return OptionalDouble.of(peak.level().doubleValue() - median);
    }

    /** Entries it rests on: its own, and those it was held against. */
    public List<Integer> entries(List<HeardSound> all, SpindleSurvey survey) {
        return Stream.concat(Stream.of(this), knocks() ? Stream.of() : others(all, survey).stream())
                .map(h -> h.recording.entry()).sorted().distinct().toList();
    }
}
