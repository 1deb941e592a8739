package tallledger.web.sound;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.Turning;
import tallledger.core.reading.SpeedReading;
import tallledger.core.rules.Rule;
import tallledger.core.sound.SoundAnalysis;
import tallledger.core.sound.SoundAnalysis.MeasuredSpeed;
import tallledger.core.sound.WavFile;
import tallledger.core.survey.Recording;
import tallledger.core.survey.Run;
import tallledger.web.cache.BoundedCache;
import tallledger.web.library.StoredSurvey;
import tallledger.web.store.Attachments;

/** What recordings come to: reckoned once for a recording, a description, a speed and a room. */
@Component
class SoundAnalyses {

    private static final int MOST_KEPT = 100;

    private final Attachments attachments;
    private final BoundedCache<String, SoundAnalysis> kept = new BoundedCache<>(MOST_KEPT, a -> 1L);

    SoundAnalyses(Attachments attachments) {
        this.attachments = attachments;
    }

    /** Empty where its bytes are not here any more, or are not those the ledger names. */
    Optional<SoundAnalysis> of(StoredSurvey survey, Recording recording) {
        Optional<Recording> room = recording.isOfRoom() ? Optional.empty()
                : survey.core().recordings().stream().filter(Recording::isOfRoom).max(Comparator.comparingInt(Recording::entry));
        Optional<Double> rpm = speed(survey, recording);
        String key = recording.sha256() + " " + recording.task() + " " + survey.machine().id() + " " + survey.machineVersion() + " " + rpm
                + " " + room.map(Recording::sha256).orElse("") + " " + survey.core().house().version();
        Optional<SoundAnalysis> known = kept.get(key);
        if (known.isPresent()) {
            return known;
        }
        Optional<SoundAnalysis> now = attachments.attachment(recording.sha256()).map(row -> SoundAnalysis.of(WavFile.parse(row.bytes()),
                turning(survey, recording, rpm), plate(survey), within(survey, recording),
                room.flatMap(r -> of(survey, r))));
        now.ifPresent(analysis -> kept.put(key, analysis));
        return now;
    }

    /** Share that a speed may be off the plate's; as the house has it where the room was recorded. */
    private static double within(StoredSurvey survey, Recording recording) {
        return survey.folded().machine().train().routeByKey(recording.task())
                .map(route -> Run.recording(survey.folded().table(), route).within(survey.rules()).doubleValue())
                .orElse(survey.rules().number(Rule.SPEED_TOLERANCE).doubleValue() / 100);
    }

    private static List<Double> plate(StoredSurvey survey) {
        return survey.folded().table().counted().stream().flatMap(s -> s.expected().stream()).toList();
    }

    private static List<Turning> turning(StoredSurvey survey, Recording recording, Optional<Double> rpm) {
        DriveTrain train = survey.folded().machine().train();
        Optional<Double> hertz = survey.core().machine().fitOut().supply().hertz().map(BigDecimal::doubleValue);
        return train.routeByKey(recording.task()).flatMap(route -> rpm.map(n -> Turning.of(train, route, n, hertz))).orElse(List.of());
    }

    /** As it was read last at this speed. */
    static Optional<MeasuredSpeed> read(StoredSurvey survey, Recording recording) {
        return survey.folded().counting().stream().filter(run -> run.route().key().equals(recording.task()))
                .max(Comparator.comparingInt(Run::entry)).flatMap(Run::reading)
                .map(read -> new MeasuredSpeed(read.rpm().doubleValue(), expanded(survey, read)));
    }

    private static double expanded(StoredSurvey survey, SpeedReading read) {
        return read.expanded(survey.rules());
    }

    /** As read, else as the plate says. */
    static Optional<Double> speed(StoredSurvey survey, Recording recording) {
        Optional<Route> route = survey.folded().machine().train().routeByKey(recording.task());
        return read(survey, recording).map(MeasuredSpeed::rpm)
                .or(() -> route.flatMap(r -> survey.folded().table().speedOf(r)).flatMap(s -> s.expected()));
    }
}
