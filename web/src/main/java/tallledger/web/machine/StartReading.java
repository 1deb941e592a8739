package tallledger.web.machine;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import tallledger.core.machine.Claim;
import tallledger.core.machine.MachineDescription;
import tallledger.core.machine.MixedText;
import tallledger.core.motion.Axis;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;
import tallledger.web.fitout.FitOutForm;
import tallledger.web.forms.FormInput;
import tallledger.web.words.WebReason;

/**
 * What everybody knows of a machine, read from the one box of the Start page into the machine's form: speeds with the levers that would
 * give them, claims by who says them, and what was not understood, which is kept as words. What the page does not ask is as usual in the
 * family.
 *
 * @param typed  the machine's form, filled
 * @param levers ways in which levers give the speeds; empty where no speeds are typed
 * @param chosen of them; empty where it must be chosen
 * @param feeds  what was made of the feeds that are typed; empty where none are
 */
public record StartReading(FormInput typed, Optional<PlateFinder.FoundLayouts> levers, Optional<Integer> chosen, Optional<Reason> feeds,
        List<Claim> claims) {

    static final String LEVERS = "levers";
    /** Fields that the page has by the names they have in the machine's form. */
    private static final List<String> ASKED = List.of("family", "unit", "name", "seenAt", "offeredBy", "saidBy");

    /** Reads what is typed on the Start page. What is wrong is refused there. */
    static StartReading of(FormInput start) {
        FormInput form = MachineForm.blank();
        for (String field : ASKED) {
            form.set(field, start.get(field));
        }
        form.in(IdentityFields.unit(start));
        MachineForm.usual(form);
        List<Axis> axes = DescriptionPage.axes(Optional.empty(), form);
        MixedText told = MixedText.read(start.get("said"));
        form.set("said", told.words());
        ClaimFields.split(form, axes);
        Optional<Reason> feeds = told.feeds().map(list -> feeds(form, list));
        List<Claim> claims = ClaimFields.read(form.withoutErrors(), IdentityFields.unit(start));
        form.set(FormPlate.SPEED.list(), told.speeds().or(() -> ends(claims)).orElse(""));
        Optional<PlateFinder.FoundLayouts> found = PlateFinder.found(form, FormPlate.SPEED);
        Optional<Integer> chosen = found.flatMap(f -> chosen(f, start.get(LEVERS)));
        found.ifPresent(f -> chosen.ifPresent(i -> PlateFinder.take(form, f.offers().get(i), FormPlate.SPEED)));
        form.errors().forEach((field, why) -> start.refuse(field.equals(FormPlate.SPEED.list()) ? "said" : field, why));
        return new StartReading(form, found, chosen, feeds, claims);
    }

    /** Feeds go on the feed plate where they can be laid out unasked; else they are kept as words, and nothing typed is lost. */
    private static Reason feeds(FormInput form, String list) {
        FormInput tried = form.withoutErrors();
        tried.set(FormPlate.FEED.list(), list);
        Optional<PlateFinder.OfferedLayout> laidOut = PlateFinder.found(tried, FormPlate.FEED)
                .flatMap(f -> chosen(f, "").map(i -> f.offers().get(i)));
        if (laidOut.isEmpty()) {
            ClaimFields.asWords("feeds", list, form);
            return Reason.of(WebReason.START_FEEDS_WORDS);
        }
        PlateFinder.take(form, laidOut.get(), FormPlate.FEED);
        return Reason.of(WebReason.START_FEEDS, laidOut.get().cells().size());
    }

    /** Where nobody read the plate but somebody said how many speeds there are and the ends, those are its speeds, the others unread. */
    private static Optional<String> ends(List<Claim> claims) {
        Optional<String> count = value(claims, Claim.Attribute.SPEED_COUNT);
        Optional<String> low = value(claims, Claim.Attribute.SLOWEST_SPEED);
        Optional<String> high = value(claims, Claim.Attribute.FASTEST_SPEED);
        return count.flatMap(n -> low.flatMap(from -> high.map(to -> n + " from " + figure(from) + " to " + figure(to))));
    }

    private static Optional<String> value(List<Claim> claims, Claim.Attribute attribute) {
        return claims.stream().filter(c -> c.attribute() == attribute).map(Claim::value).findFirst();
    }

    private static String figure(String value) {
        return value.replaceAll("[^\\d.,]", "");
    }

    /**
     * The arrangement that was chosen; else the only one; else, until somebody has looked at the levers, one lever with a position for each
     * speed. What left a speed out is never taken unasked.
     */
    private static Optional<Integer> chosen(PlateFinder.FoundLayouts found, String asked) {
        List<PlateFinder.OfferedLayout> offers = found.offers();
        Optional<Integer> named = IntStream.range(0, offers.size()).filter(i -> name(offers, i).equals(asked)).boxed().findFirst();
        if (named.isPresent()) {
            return named;
        }
        if (offers.size() == 1 && found.more() == 0 && offers.get(0).leftOut().isEmpty()) {
            return Optional.of(0);
        }
        return IntStream.range(0, offers.size()).filter(i -> offers.get(i).levers().size() < 2 && offers.get(i).leftOut().isEmpty()).boxed()
                .findFirst();
    }

    /** What a way to lay them out is called in the form: by its sizes and its place, so that none is taken for another. */
    private static String name(List<PlateFinder.OfferedLayout> offers, int i) {
        return offers.get(i).sizes() + ", " + (i + 1);
    }

    /** The description, with what the page left open as it is usual; empty where something is wrong, which is then said. */
    Optional<MachineDescription> description(FormInput start, Rules rules) {
        if (levers.isPresent() && chosen.isEmpty()) {
            start.refuse(LEVERS, Reason.of(WebReason.START_LEVERS));
        }
        Optional<MachineDescription> read = MachineForm.description(typed, Optional.empty(), rules);
        typed.errors().forEach((field, why) -> start.refuse(ASKED.contains(field) ? field : "said", why));
        return start.isClean() ? read : Optional.empty();
    }

    /** What was said and understood. */
    public List<Claim> understood() {
        return claims.stream().filter(c -> c.attribute() != Claim.Attribute.OTHER).toList();
    }

    /** What nothing was made of: it is kept as words. */
    public List<String> words() {
        return claims.stream().filter(c -> c.attribute() == Claim.Attribute.OTHER).map(Claim::value).toList();
    }

    /** One key a way to lay the levers out. */
    public record LeverChoice(String value, PlateFinder.OfferedLayout layout, boolean isChosen) {
    }

    public List<LeverChoice> choices() {
        return levers.map(PlateFinder.FoundLayouts::offers).map(offers -> IntStream.range(0, offers.size())
                .mapToObj(i -> new LeverChoice(name(offers, i), offers.get(i), chosen.filter(c -> c == i).isPresent())).toList())
                .orElse(List.of());
    }

    /** Axes that such a machine usually has: what its survey begins with until somebody says otherwise. */
    public String usual() {
        return FitOutForm.names(typed);
    }
}
