package tallledger.web.shelfindex;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.machine.Identity;

/** A line of the shelf, with the entries and the build it rests on. */
public record ShelfRow(Long machine, String restsOn, String line) {

    /** What it is found and sorted by; nobody knows what is greatest. */
    public record Sorted(String name, String family, String place, String words, boolean surveyed, double known, double runShare,
            double putRight, double unknown, double offered, int worst) {

        private static final int LONGEST = 200;

        static Sorted of(Summary line) {
            Identity i = line.identity();
            String words = Stream.of(i.name(), i.maker(), i.model(), i.serial(), i.seenAt(), i.offeredBy()).map(ShelfQuery::lower)
                    .collect(Collectors.joining("\n"));
            double last = Double.MAX_VALUE;
            return new Sorted(cut(i.name(), LONGEST), i.family().name(), cut(ShelfQuery.lower(i.seenAt()), LONGEST),
                    cut(words, 10 * LONGEST), line.survey().isPresent(), line.share(), line.runShare(),
                    line.money().map(Summary.Amounts::putRight).orElse(last), line.money().map(Summary.Amounts::unknown).orElse(last),
                    line.money().map(m -> -m.offerToAsking()).orElse(last),
                    line.worst().map(w -> w.severity().ordinal()).orElse(line.survey().isPresent() ? 90 : 99));
        }

        private static String cut(String text, int longest) {
            return text.length() > longest ? text.substring(0, longest) : text;
        }
    }

    /** A query as the database is asked it; null is any. */
    public record ShelfFilter(String like, String family, String placeLike, Boolean surveyed, boolean away, String sort, int skipped,
            int most) {

        static ShelfFilter of(ShelfQuery query) {
            return new ShelfFilter(query.like(), query.familyName(), query.placeLike(), query.surveyed(), query.away(), query.sort().name(),
                    query.skipped(), ShelfQuery.A_PAGE);
        }
    }
}
