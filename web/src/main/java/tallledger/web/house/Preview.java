package tallledger.web.house;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tallledger.core.house.House;
import tallledger.core.survey.JudgementChange;
import tallledger.web.record.BookKind;
import tallledger.web.record.BookRow;
import tallledger.web.record.Books;
import tallledger.web.record.Shelves;
import tallledger.web.record.StoredSurvey;
import tallledger.web.record.Unreadable;

/** Which surveys would be judged otherwise if they adopted a change of the house's rules. */
@Component
class Preview {

    /** So many surveys are looked at in one go, the newest first. */
    private static final int A_LOOK = 40;
    /** Records named of each. */
    static final int NAMED = 4;

    /** A survey with what it would judge otherwise. */
    public record Line(long survey, String name, int judgesBy, List<JudgementChange> records) {

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
    public record Found(int looked, int all, List<Line> lines, int unread) {

        public boolean isWhole() {
            return looked >= all;
        }
    }

    private final Books books;
    private final Shelves shelves;

    Preview(Books books, Shelves shelves) {
        this.books = books;
        this.shelves = shelves;
    }

    /** @param from so many of the newest surveys were looked at before */
    Found of(House house, int from) {
        List<BookRow> surveys = new ArrayList<>(books.all().stream().filter(b -> b.getKind() == BookKind.SURVEY).toList());
        java.util.Collections.reverse(surveys);
        List<Line> lines = new ArrayList<>();
        int unread = 0;
        int to = Math.min(surveys.size(), from + A_LOOK);
        for (BookRow book : surveys.subList(Math.min(from, surveys.size()), to)) {
            try {
                line(shelves.survey(book.getId()), house).ifPresent(lines::add);
            } catch (Unreadable lost) {
                unread++;
            }
        }
        return new Found(to, surveys.size(), lines, unread);
    }

    private static Optional<Line> line(StoredSurvey survey, House house) {
        List<JudgementChange> records =
                JudgementChange.between(survey.core(), survey.core().by(survey.core().machine(), house, survey.entries()));
        return records.isEmpty() ? Optional.empty()
                : Optional.of(new Line(survey.id(), survey.machine().name(), survey.core().house().version(), records));
    }
}
