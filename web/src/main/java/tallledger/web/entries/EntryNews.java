package tallledger.web.entries;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tallledger.core.ledger.Entry;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.live.Watchers;
import tallledger.web.store.Books;
import tallledger.web.words.Words;

/** Tells the open pages of a survey of each entry, in the words it has under Entries. */
@Component
class EntryNews {

    private static final int LONGEST = 200;

    EntryNews(Books books, Watchers watchers, SurveyLibrary library, Words words) {
        books.whenAppended((book, entry) -> {
            if (watchers.isWatched(book)) {
                watchers.tell(book, "entry", () -> said(library.survey(book), entry, words));
            }
        });
    }

    private static Map<String, Object> said(StoredSurvey survey, Entry entry, Words words) {
        EntryLine line = EntryLine.of(survey, List.of(entry), words).get(0);
        String says = line.says().length() > LONGEST ? line.beginning() : line.says();
        return Map.of("head", entry.sequence(), "by", line.author(), "step", line.step(), "says", says);
    }
}
