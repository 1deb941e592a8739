package tallledger.web.film;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import tallledger.core.film.FilmFile;
import tallledger.core.film.Gap;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.reason.Reason;
import tallledger.core.spoken.Find;
import tallledger.core.spoken.Narration;
import tallledger.core.spoken.Spoken;
import tallledger.core.spoken.TimedText;
import tallledger.core.survey.FilmEvent;
import tallledger.core.survey.Footage.HeardThing;
import tallledger.web.cache.BoundedCache;
import tallledger.web.library.StoredSurvey;
import tallledger.web.store.Attachments;

/** What was found in the narrations of a film, and what of it nobody has answered yet. */
@Component
class Narrations {

    private static final int MOST_KEPT = 20_000;

    private final Attachments attachments;
    /** By text and description: a long one takes a while to be read. */
    private final BoundedCache<String, Read> read = new BoundedCache<>(MOST_KEPT, r -> r.finds.size() + 1L);

    Narrations(Attachments attachments) {
        this.attachments = attachments;
    }

    private record Read(List<Find> finds, List<Reason> doubts, Optional<TimedText> text) {
    }

    /**
     * A find with the narration it is in.
     *
     * @param speaker who speaks
     * @param key     by which it is known to be answered
     */
    record Offered(Find find, String speaker, String key) {
    }

    /**
     * What is offered of one film.
     *
     * @param open   not answered yet, in the order it was said
     * @param hedges words that leave something open
     * @param all    how many there were
     */
    record Offers(List<Offered> open, List<Offered> hedges, int all, List<Reason> doubts) {
    }

    Offers of(StoredSurvey survey, String film) {
        Set<String> answered = new HashSet<>();
        survey.core().footage().heard().stream().map(HeardThing::heard).forEach(h -> answered.add(h.key()));
        List<Offered> open = new ArrayList<>();
        List<Offered> hedges = new ArrayList<>();
        List<Reason> doubts = new ArrayList<>();
        int all = 0;
        for (NotedEntry<FilmEvent.NarrationKept> kept : survey.core().footage().narrations()) {
            if (!kept.what().film().equals(film)) {
                continue;
            }
            Read found = read(survey, kept.what());
            doubts.addAll(found.doubts);
            for (Find find : found.finds) {
                Offered offered = new Offered(find, kept.what().speaker(), kept.entry() + " " + find.key());
                if (find.kind() == Find.SaidOf.HEDGE) {
                    hedges.add(offered);
                } else {
                    all++;
                    if (!answered.contains(offered.key)) {
                        open.add(offered);
                    }
                }
            }
        }
        return new Offers(List.copyOf(open), List.copyOf(hedges), all, List.copyOf(doubts));
    }

    /** Where nobody speaks in a film, as far as its texts tell; empty without a text, or where nobody knows how long the film is. */
    Optional<List<Gap>> silences(StoredSurvey survey, FilmFile film) {
        List<TimedText> texts = survey.core().footage().narrations().stream().map(NotedEntry::what)
                .filter(kept -> kept.film().equals(film.sha256())).flatMap(kept -> read(survey, kept).text.stream()).toList();
        return texts.isEmpty() ? Optional.empty() : film.seconds().map(end -> TimedText.silences(texts, end));
    }

    private Read read(StoredSurvey survey, FilmEvent.NarrationKept kept) {
        String key = kept.text().sha256() + " " + survey.machineVersion() + " " + survey.machine().id();
        Optional<Read> known = read.get(key);
        if (known.isPresent()) {
            return known.get();
        }
        Read now = attachments.attachment(kept.text().sha256()).map(row -> {
            TimedText text = TimedText.parse(new String(row.bytes(), StandardCharsets.UTF_8));
            Spoken.Found found = Spoken.in(Narration.of(text), survey.core().machine(), survey.steps().steps());
            List<Reason> doubts = new ArrayList<>(text.doubts());
            doubts.addAll(found.doubts());
            return new Read(found.finds(), doubts, Optional.of(text));
        }).orElse(new Read(List.of(), List.of(), Optional.empty()));
        read.put(key, now);
        return now;
    }
}
