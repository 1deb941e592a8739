package tallledger.web.house;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tallledger.core.house.HouseBook;
import tallledger.core.house.HouseChange;
import tallledger.core.rules.Rule;
import tallledger.core.seal.Fingerprint;
import tallledger.web.words.Figures;
import tallledger.web.words.Words;

/** What each change of the house says, in words. */
@Component("houseWords")
public class HouseWords implements HouseChange.ChangeVisitor<String> {

    private static final int SHOWN = 20;

    private final Words words;

    HouseWords(Words words) {
        this.words = words;
    }

    /** A change where it is plain what of. */
    public String of(HouseChange change) {
        return change.accept(this);
    }

    /** A change with what it is of. */
    public String said(HouseBook.Change change) {
        String of = change.entry().step();
        String named = switch (HouseChange.Kind.valueOf(change.entry().kind())) {
            case RULE -> words.say("rule." + of) + " ";
            case STEP_TIME -> words.say("step." + of, words.say("step-about.axis"), words.say("step-about.way")) + " ";
            case ISSUED, CHECKS, CHECK, REPAIR, GAUGE, GAUGE_OUT, KEY, DEVICE, DEVICE_OUT, DEVICE_REFUSED -> "";
        };
        return named + of(change.what());
    }

    /** The newest changes, newest first. */
    public List<HouseBook.Change> newest(HouseBook book) {
        List<HouseBook.Change> changes = new ArrayList<>(book.changes());
        Collections.reverse(changes);
        return changes.stream().limit(SHOWN).toList();
    }

    @Override
    public String issued(HouseChange.Issued change) {
        return words.say("house.issued");
    }

    @Override
    public String ruled(HouseChange.Ruled change) {
        return words.say("house.changed", figures(change.rule(), change.figures()), change.reason());
    }

    private static String figures(Rule rule, List<BigDecimal> figures) {
        String unit = rule.unit(figures.size() - 1).symbol();
        return figures.stream().map(Figures::plain).collect(Collectors.joining(" / ")) + (unit.isEmpty() ? "" : " " + unit);
    }

    @Override
    public String timed(HouseChange.Timed change) {
        return words.say("house.changed", change.seconds() + " s", change.reason());
    }

    @Override
    public String listed(HouseChange.ChecksListed change) {
        return words.say("house.listed", change.checks().size(), change.reason());
    }

    @Override
    public String gauge(HouseChange.GaugeListed change) {
        return words.say("house.gauge", change.gauge().gauge().name(), change.reason());
    }

    @Override
    public String gauge(HouseChange.GaugeOut change) {
        return words.say("house.gauge-out", change.name(), change.reason());
    }

    @Override
    public String row(HouseChange.CheckRow change) {
        String code = change.was().isEmpty() ? "house.row-new" : change.now().isEmpty() ? "house.row-out" : "house.row";
        return words.say(code, change.now().or(change::was).orElseThrow().what(), change.reason());
    }

    @Override
    public String repair(HouseChange.RepairRow change) {
        String code = change.was().isEmpty() ? "house.row-new" : change.now().isEmpty() ? "house.row-out" : "house.row";
        return words.say(code, change.now().or(change::was).orElseThrow().what(), change.reason());
    }

    @Override
    public String key(HouseChange.KeyMade change) {
        return words.say("house.key", fingerprint(change).words());
    }

    @Override
    public String device(HouseChange.DevicePaired change) {
        return words.say(change.device().writes() ? "house.device-writes" : "house.device-reads", change.device().name(),
                change.device().author().written(),
                change.device().survey().map(s -> words.say("house.device-survey", String.valueOf(s)))
                        .orElseGet(() -> words.say("house.device-all")));
    }

    @Override
    public String device(HouseChange.DeviceOut change) {
        return words.say("house.device-out", change.name());
    }

    @Override
    public String device(HouseChange.PairingRefused change) {
        return words.say("house.device-refused", words.of(change.why()), change.from(), change.tries() - 1);
    }

    /** What a key is known by. */
    public Fingerprint fingerprint(HouseChange change) {
        return change instanceof HouseChange.KeyMade key ? Fingerprint.of(Base64.getDecoder().decode(key.publicKey()))
                : new Fingerprint("");
    }
}
