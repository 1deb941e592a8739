package tallledger.core.seal;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import tallledger.core.seal.Found.What;

/** A handed-over survey held against its seal: its books, its files by their hashes, its signature. */
public final class SealCheck {

    public static final String LEDGER = "ledger.json";
    public static final String SEAL = "seal.json";
    /** The page that checks. Seals made before it was among the files they name leave it unheld. */
    public static final String PAGE = "verify.html";
    public static final String SURVEY = "SURVEY";
    private static final String PHOTOS = "photos/";

    private SealCheck() {
    }

    /**
     * @param books by their kind, each gone through
     * @param files SHA-256 of every file by its name
     * @param seal  empty where there is none
     * @param title of the survey
     */
    public static Found.CheckedArchive of(Map<String, BookCheck> books, Map<String, String> files, Optional<Seal> seal, String title) {
        List<Found> found = new ArrayList<>();
        BookCheck survey = books.getOrDefault(SURVEY, new BookCheck(SURVEY));
        if (survey.count() == 0) {
            found.add(new Found(What.LEDGER_UNREADABLE, LEDGER));
        }
        books.values().forEach(b -> found.addAll(b.found()));
        books.values().forEach(b -> found.addAll(b.against(books)));
        photographs(survey, files, found);
        seal.ifPresent(s -> sealed(s, survey, files, found));
        if (seal.isEmpty() && survey.isClosed()) {
            found.add(new Found(What.SEAL_MISSING, SEAL));
        }
        Set<String> held = seal.map(s -> s.files().keySet()).orElse(Set.of(LEDGER));
        List<String> unheld = new TreeMap<>(files).keySet().stream().filter(name -> !held.contains(name) && !name.equals(SEAL)
                && !name.startsWith(PHOTOS)).toList();
        return new Found.CheckedArchive(List.copyOf(found), seal, title, survey.count(), survey.isClosed(), unheld);
    }

    private static void photographs(BookCheck survey, Map<String, String> files, List<Found> found) {
        Map<String, String> byName = new TreeMap<>();
        files.forEach((name, hash) -> {
            if (name.startsWith(PHOTOS)) {
                byName.put(name.substring(PHOTOS.length()).replaceAll("\\..*", ""), hash);
                if (!name.substring(PHOTOS.length()).startsWith(hash)) {
                    found.add(new Found(What.PHOTO_OTHER, name));
                }
            }
        });
        survey.photographs().stream().filter(p -> !byName.containsKey(p))
                .forEach(p -> found.add(new Found(What.PHOTO_MISSING, PHOTOS + p)));
    }

    private static void sealed(Seal seal, BookCheck survey, Map<String, String> files, List<Found> found) {
        new TreeMap<>(seal.files()).forEach((name, hash) -> {
            if (!files.containsKey(name)) {
                found.add(new Found(What.FILE_MISSING, name));
            } else if (!files.get(name).equals(hash)) {
                found.add(new Found(What.FILE_CHANGED, name));
            }
        });
        new TreeMap<>(files).keySet().stream().filter(name -> !seal.files().containsKey(name) && !name.equals(SEAL) && !name.equals(PAGE))
                .forEach(name -> found.add(new Found(What.FILE_EXTRA, name)));
        if (seal.count() != survey.count() || !seal.lastHash().equals(survey.lastHash())) {
            found.add(new Found(What.SEAL_CHAIN, SURVEY + " " + survey.count()));
        }
        if (!survey.isClosed() || !seal.closedBy().equals(survey.lastBy()) || !seal.closedAt().equals(survey.lastAt())) {
            found.add(new Found(What.SEAL_CLOSING, SEAL));
        }
        if (!seal.isSigned()) {
            found.add(new Found(What.SIGNATURE_WRONG, SEAL));
        }
        if (survey.isClosed() && !survey.key().equals(seal.fingerprint().hex())) {
            found.add(new Found(What.KEY_OTHER, SEAL));
        }
    }
}
