package tallledger.web.house;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tallledger.core.house.House;
import tallledger.core.survey.JudgementChange;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.UnreadableBookException;

/** Which surveys would be judged otherwise if they adopted a change of the house's rules. */
@Component
class Preview {

    /** So many surveys are looked at in one go, the newest first. */
    private static final int A_LOOK = 40;
    /** Records named of each. */
    static final int NAMED = 4;

    /** A survey with what it would judge otherwise. */
    public record PreviewLine(long survey, String name, int judgesBy, List<JudgementChange> records) {

        public List<JudgementChange> named() {
            return records.stream().limit(NAMED).toList();
        }
    }

    /**
     * What was found.
     *
     * @param looked   surveys looked at, those before them too
     * @param all      surveys there are
     * @param lines    those that would judge something otherwise
     * @param unread   those that cannot be read
     */
    public record PreviewResult(int looked, int all, List<PreviewLine> lines, int unread) {

        public boolean isWhole() {
            return looked >= all;
        }
    }

    private final SurveyLibrary library;

    Preview(SurveyLibrary library) {
        this.library = library;
    }

    /** @param from so many of the newest surveys were looked at before */
    PreviewResult of(House house, int from) {
        List<Long> surveys = library.surveysNewestFirst();
        List<PreviewLine> lines = new ArrayList<>();
        int unread = 0;
        int to = Math.min(surveys.size(), from + A_LOOK);
        for (long survey : surveys.subList(Math.min(from, surveys.size()), to)) {
            try {
                line(library.survey(survey), house).ifPresent(lines::add);
            } catch (UnreadableBookException lost) {
                unread++;
            }
        }
        return new PreviewResult(to, surveys.size(), lines, unread);
    }

    private static Optional<PreviewLine> line(StoredSurvey survey, House house) {
        List<JudgementChange> records =
                JudgementChange.between(survey.core(), survey.core().by(survey.core().machine(), house, survey.entries()));
        return records.isEmpty() ? Optional.empty()
                : Optional.of(new PreviewLine(survey.id(), survey.machine().name(), survey.core().house().version(), records));
    }
}
