package tallledger.web.film;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import tallledger.core.drive.Stage;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.Need;
import tallledger.core.family.Step;
import tallledger.core.plan.FilmRequest;
import tallledger.core.survey.Survey;
import tallledger.web.words.Words;

/**
 * A request in words.
 *
 * @param number  in the letter or the list, from 1
 * @param key     of its speed or step
 * @param name    as people call it
 * @param set     what to set first; empty where nothing is
 * @param does    what is done and shown
 * @param picture what must be in the picture together, and where to stand
 * @param seconds in one go
 * @param says    what to say while it is filmed
 * @param before  what must be safe or free first
 */
public record AskedShot(int number, String key, String name, String set, String does, String picture, long seconds, String says,
        List<String> before) {

    static List<AskedShot> of(Survey survey, List<FilmRequest> requests, Words words) {
        List<AskedShot> shots = new ArrayList<>();
        requests.forEach(r -> shots.add(of(survey, r, shots.size() + 1, words)));
        return List.copyOf(shots);
    }

    private static AskedShot of(Survey survey, FilmRequest request, int number, Words words) {
        String name = words.name(request.task(), survey.machine().train());
        List<String> before = request.needs().stream().map(n -> need(n, words)).toList();
        long seconds = Math.round(Math.ceil(request.shows()));
        if (request.task().step().isEmpty()) {
            List<String> levers = new ArrayList<>();
            List<Stage> choices = survey.machine().train().stages().stream().filter(Stage::isChoice).toList();
            for (int s = 0; s < Math.min(choices.size(), request.set().size()); s++) {
                levers.add(words.say("film.lever", choices.get(s).name(), request.set().get(s)));
            }
            String rpm = request.task().route().flatMap(survey.drive().table()::nominal).map(n -> words.say("figure", n)).orElse("");
            return new AskedShot(number, request.task().key(), name, String.join(", ", levers),
                    words.say("film.ask-speed", name, rpm.isEmpty() ? 0 : 1, rpm), words.say("film.picture-speed"), seconds,
                    words.say("film.say-speed", name), before);
        }
        Step step = request.task().step().get();
        return new AskedShot(number, request.task().key(), name, "", does(step, words), picture(step, words), seconds,
                words.say("film.say-step", name), before);
    }

    private static String need(Need need, Words words) {
        return words.say("need." + need.kind().name(), need.of());
    }

    /** What the surveyor would do there, without what is typed and measured. */
    private static String does(Step step, Words words) {
        if (step.recording().driveCheck().isPresent()) {
            DriveCheck check = step.recording().driveCheck().get();
            return words.say("film.ask-check", words.of(check));
        }
        String does = Arrays.stream(words.say(step.says("do")).split("(?<=[.;:])\\s+"))
                .filter(s -> !s.matches("(?i).*\\b(?:type|write down|indicator|dial gauge|record)\\b.*")).collect(Collectors.joining(" "));
        return does.isBlank() || does.endsWith("?") ? words.say("film.ask-look") : does;
    }

    private static String picture(Step step, Words words) {
        return words.say(step.axis().isPresent() ? "film.picture-axis" : step.runs() ? "film.picture-runs" : "film.picture-look");
    }
}
