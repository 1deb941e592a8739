package tallledger.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import tallledger.core.blame.Recorded;
import tallledger.core.blame.Trial;
import tallledger.core.coverage.Elements;
import tallledger.core.drive.Route;
import tallledger.core.drive.Shaft;
import tallledger.core.reason.Reason;
import tallledger.core.sound.SoundFindings.ShaftSound;
import tallledger.core.survey.HeardSound;
import tallledger.core.survey.Run;
import tallledger.core.survey.SpindleSurvey;

/** Recordings beside what was heard of their runs (W 3.8). */
public final class SoundTrials {

    private SoundTrials() {
    }

    /**
     * Each recording stands beside the last run of its route before it, else the first one after it; one without a run stands alone.
     *
     * @param runs that say something, in order
     */
    static List<Trial> of(SpindleSurvey survey, List<Run> runs) {
        List<HeardSound> sounds = HeardSound.of(survey);
        List<Trial> trials = new ArrayList<>();
        for (Run run : runs) {
            Optional<Recorded> recorded = sounds.stream().filter(s -> runOf(s, runs).equals(Optional.of(run))).findFirst()
                    .map(s -> recorded(s, survey)).filter(r -> !r.shafts().isEmpty());
            trials.add(new Trial(run.route(), Optional.of(run.record().symptoms()), recorded));
        }
        sounds.stream().filter(s -> runOf(s, runs).isEmpty()).forEach(s -> {
            Recorded recorded = recorded(s, survey);
            if (!recorded.shafts().isEmpty()) {
                trials.add(new Trial(s.route(), Optional.empty(), Optional.of(recorded)));
            }
        });
        return List.copyOf(trials);
    }

    private static Optional<Run> runOf(HeardSound sound, List<Run> runs) {
        List<Run> its = runs.stream().filter(r -> r.route().equals(sound.route())).toList();
        return its.stream().filter(r -> r.entry() < sound.recording().entry()).reduce((a, b) -> b).or(() -> its.stream().findFirst());
    }

    /** A recording and what it tells of the parts. */
    public record Tells(HeardSound sound, List<Reason> says) {
    }

    /** What each recording tells of the parts of its route, in the order they were made; none where no shaft's parts are known. */
    public static List<Tells> tells(SpindleSurvey survey) {
        return HeardSound.of(survey).stream().map(s -> new Tells(s, recorded(s, survey).shafts().stream().map(shaft -> says(shaft, survey))
                .toList())).filter(t -> !t.says.isEmpty()).toList();
    }

    private static Reason says(Recorded.OfShaft shaft, SpindleSurvey survey) {
        String parts = survey.elements().in(shaft.elements()).stream().map(e -> e.stageName() + " " + e.label())
                .collect(Collectors.joining(", "));
        boolean knocks = shaft.knock().orElse(false);
        if (knocks || shaft.sidebands().orElse(false)) {
            return Reason.of(!knocks ? PlanReason.SOUND_SIDEBANDS
                    : shaft.sidebands().orElse(false) ? PlanReason.SOUND_BOTH : PlanReason.SOUND_KNOCK, parts);
        }
        return Reason.of(shaft.knock().isEmpty() ? PlanReason.SOUND_NO_SIDEBANDS
                : shaft.sidebands().isEmpty() ? PlanReason.SOUND_NO_KNOCK : PlanReason.SOUND_NOTHING, parts);
    }

    /** What a recording tells of each shaft whose parts are known. What it does not have counts only where that is known. */
    static Recorded recorded(HeardSound sound, SpindleSurvey survey) {
        List<Recorded.OfShaft> shafts = new ArrayList<>();
        for (Shaft shaft : Shaft.of(survey.machine().train(), sound.route())) {
            Optional<ShaftSound> its = sound.findings().shafts().stream().filter(s -> shaft.isAt(s.times().doubleValue())).findFirst();
            its.ifPresent(s -> shafts.add(new Recorded.OfShaft(elements(survey.elements(), shaft, sound.route()),
                    counts(s.knocks(), sound), counts(s.hasSidebands(), sound))));
        }
        return new Recorded(shafts);
    }

    private static Optional<Boolean> counts(Optional<Boolean> heard, HeardSound sound) {
        return heard.filter(h -> h || sound.isSilenceKnown());
    }

    private static long elements(Elements elements, Shaft shaft, Route route) {
        long mask = elements.mask(route);
        long its = 0;
        for (int bit = 0; bit < elements.all().size(); bit++) {
            its |= shaft.stages().contains(elements.all().get(bit).stage()) ? mask & 1L << bit : 0;
        }
        return its;
    }
}
