package tallledger.web.sound;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import tallledger.core.drive.Route;
import tallledger.core.drive.Turning;
import tallledger.core.reading.SpeedReading;
import tallledger.core.rules.Rule;
import tallledger.core.sound.SoundAnalysis;
import tallledger.core.sound.SoundAnalysis.MeasuredSpeed;
import tallledger.core.sound.SoundFindings;
import tallledger.core.sound.WavFile;
import tallledger.core.survey.HeardSound;
import tallledger.core.survey.Recording;
import tallledger.core.survey.Run;
import tallledger.web.cache.BoundedCache;
import tallledger.web.library.StoredSurvey;
import tallledger.web.store.Attachments;

/** What recordings come to: reckoned once for a recording, a description, a speed and a room. */
@Component
public class SoundAnalyses {

    private static final int MOST_KEPT = 100;

    private final Attachments attachments;
    private final BoundedCache<String, SoundAnalysis> kept = new BoundedCache<>(MOST_KEPT, a -> 1L);

    SoundAnalyses(Attachments attachments) {
        this.attachments = attachments;
    }

    /** Empty where its bytes are not here any more, or are not those the ledger names. */
    Optional<SoundAnalysis> of(StoredSurvey survey, Recording recording) {
        return of(survey, recording.task(), recording.sha256(),
                () -> attachments.attachment(recording.sha256()).map(row -> WavFile.parse(row.bytes())));
    }

    /** What one that is being brought comes to. */
    public SoundFindings found(StoredSurvey survey, String task, String sha256, WavFile wav) {
        SoundAnalysis analysis = of(survey, task, sha256, () -> Optional.of(wav)).orElseThrow();
        return route(survey, task).flatMap(route -> HeardSound.speed(survey.folded(), route).map(rpm -> SoundFindings.of(analysis,
                survey.folded().machine().train(), route, turning(survey, task, Optional.of(rpm)), rpm, read(survey, task).isPresent())))
                .orElseGet(() -> SoundFindings.ofRoom(analysis));
    }

    private Optional<SoundAnalysis> of(StoredSurvey survey, String task, String sha256, Supplier<Optional<WavFile>> wav) {
        Optional<Recording> room = task.isEmpty() ? Optional.empty()
                : survey.core().recordings().stream().filter(Recording::isOfRoom).max(Comparator.comparingInt(Recording::entry));
        Optional<Double> rpm = speed(survey, task);
        String key = sha256 + " " + task + " " + survey.machine().id() + " " + survey.machineVersion() + " " + rpm
                + " " + room.map(Recording::sha256).orElse("") + " " + survey.core().house().version();
        Optional<SoundAnalysis> known = kept.get(key);
        if (known.isPresent()) {
            return known;
        }
        Optional<SoundAnalysis> now = wav.get().map(w -> SoundAnalysis.of(w, turning(survey, task, rpm), plate(survey),
                within(survey, task), room.flatMap(r -> of(survey, r))));
        now.ifPresent(analysis -> kept.put(key, analysis));
        return now;
    }

    static Optional<Route> route(StoredSurvey survey, String task) {
        return survey.folded().machine().train().routeByKey(task);
    }

    /** Share that a speed may be off the plate's; as the house has it where the room was recorded. */
    private static double within(StoredSurvey survey, String task) {
        return route(survey, task).map(route -> Run.recording(survey.folded().table(), route).within(survey.rules()).doubleValue())
                .orElse(survey.rules().number(Rule.SPEED_TOLERANCE).doubleValue() / 100);
    }

    private static List<Double> plate(StoredSurvey survey) {
        return survey.folded().table().counted().stream().flatMap(s -> s.expected().stream()).toList();
    }

    private static List<Turning> turning(StoredSurvey survey, String task, Optional<Double> rpm) {
        Optional<Double> hertz = survey.core().machine().fitOut().supply().hertz().map(BigDecimal::doubleValue);
        return route(survey, task).flatMap(route -> rpm.map(n -> Turning.of(survey.folded().machine().train(), route, n, hertz)))
                .orElse(List.of());
    }

    /** As it was read last at this speed. */
    static Optional<MeasuredSpeed> read(StoredSurvey survey, String task) {
        return route(survey, task).flatMap(route -> Optional.ofNullable(survey.folded().latest().get(route))).flatMap(Run::reading)
                .map(read -> new MeasuredSpeed(read.rpm().doubleValue(), expanded(survey, read)));
    }

    private static double expanded(StoredSurvey survey, SpeedReading read) {
        return read.expanded(survey.rules());
    }

    /** As read, else as the plate says. */
    static Optional<Double> speed(StoredSurvey survey, String task) {
        return route(survey, task).flatMap(route -> HeardSound.speed(survey.folded(), route));
    }
}
