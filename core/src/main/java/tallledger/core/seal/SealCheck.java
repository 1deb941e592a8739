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
    public static final String PHOTOS = "photos/";
    public static final String SOUNDS = "sounds/";

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
        named(PHOTOS, survey.attached("photograph"), files, What.PHOTO_OTHER, What.PHOTO_MISSING, found);
        named(SOUNDS, survey.attached("sound"), files, What.SOUND_OTHER, What.SOUND_MISSING, found);
        seal.ifPresent(s -> sealed(s, survey, files, found));
        if (seal.isEmpty() && survey.isClosed()) {
            found.add(new Found(What.SEAL_MISSING, SEAL));
        }
        Set<String> held = seal.map(s -> s.files().keySet()).orElse(Set.of(LEDGER));
        List<String> unheld = new TreeMap<>(files).keySet().stream().filter(name -> !held.contains(name) && !name.equals(SEAL)
                && !name.startsWith(PHOTOS) && !name.startsWith(SOUNDS)).toList();
        return new Found.CheckedArchive(List.copyOf(found), seal, title, survey.count(), survey.isClosed(), unheld);
    }

    /** Files of a folder that are named by the hash an entry holds. */
    private static void named(String folder, Set<String> hashes, Map<String, String> files, What other, What missing, List<Found> found) {
        Map<String, String> byName = new TreeMap<>();
        files.forEach((name, hash) -> {
            if (name.startsWith(folder)) {
                byName.put(name.substring(folder.length()).replaceAll("\\..*", ""), hash);
                if (!name.substring(folder.length()).startsWith(hash)) {
                    found.add(new Found(other, name));
                }
            }
        });
        hashes.stream().filter(h -> !byName.containsKey(h)).forEach(h -> found.add(new Found(missing, folder + h)));
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
