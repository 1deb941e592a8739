package tallledger.web.runsheet;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.survey.Recording;
import tallledger.core.survey.Task;
import tallledger.web.forms.FormInput;
import tallledger.web.library.StoredSurvey;
import tallledger.web.words.Words;

/**
 * What can be recorded, and what was at the open step.
 *
 * @param speeds     that something can be recorded at
 * @param at         key of the one that is open; empty for the room
 * @param recordings of it
 * @param names      of what was recorded, by entry
 */
public record SoundChoices(List<SpeedChoice> speeds, String at, List<Recording> recordings, Map<Integer, String> names) {

    /** A speed that something can be recorded at. */
    public record SpeedChoice(String key, String name) {
    }

    /** @param key of the open step */
    static SoundChoices of(StoredSurvey survey, String key, Words words) {
        String at = at(survey, key);
        List<Recording> here = key.isEmpty() ? List.of()
                : survey.core().recordings().stream().filter(r -> r.task().equals(at)).toList();
        return new SoundChoices(speeds(survey, at), at, here, here.stream().collect(Collectors.toMap(Recording::entry,
                r -> words.recorded(r, survey.folded().machine().train()))));
    }

    /** What stands in the fields before anybody types: as it stood last time. */
    public static void begin(StoredSurvey survey, FormInput typed) {
        if (typed.isSent("stood")) {
            return;
        }
        typed.set("stood", survey.core().recordings().stream().reduce((a, b) -> b).map(Recording::stood)
                .orElseGet(() -> Recording.usualPlace(survey.core().machine().unit())));
        typed.set("treated", Recording.Treated.NOT_KNOWN.name());
    }

    public static List<SpeedChoice> speeds(StoredSurvey survey) {
        return speeds(survey, "");
    }

    /** Each speed by its first way, and whatever other way is a step of the sheet or is open: in reverse it may sound otherwise. */
    private static List<SpeedChoice> speeds(StoredSurvey survey, String at) {
        DriveTrain train = survey.folded().machine().train();
        Stream<Route> first = survey.folded().table().counted().stream().flatMap(s -> s.routes().stream().limit(1));
        return Stream.of(first, survey.folded().steps().stream(), train.routeByKey(at).stream()).flatMap(routes -> routes).distinct()
                .map(r -> new SpeedChoice(r.key(), train.name(r))).toList();
    }

    /** Its own speed; of the hot check, which runs at the fastest, that one; of all else the room's. */
    static String at(StoredSurvey survey, String key) {
        return survey.core().task(key).map(task -> task.route().map(Route::key)
                .orElseGet(() -> isHotCheck(task) ? fastest(survey) : "")).orElse("");
    }

    private static boolean isHotCheck(Task task) {
        return task.step().map(Step::phase).filter(Phase.HOT_CHECK::equals).isPresent();
    }

    private static String fastest(StoredSurvey survey) {
        return survey.folded().table().counted().stream().filter(s -> s.expected().isPresent())
                .max(Comparator.comparingDouble(s -> s.expected().orElseThrow())).map(s -> s.routes().get(0).key()).orElse("");
    }

    public String name(Recording recording) {
        return names.get(recording.entry());
    }
}
