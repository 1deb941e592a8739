package tallledger.web.entries;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.film.FilmFile;
import tallledger.core.film.FrameRate;
import tallledger.core.kit.KitItem;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.ledger.Payload;
import tallledger.core.price.Stakes;
import tallledger.core.reading.FilmCount;
import tallledger.core.reading.Method;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.InUnit;
import tallledger.core.safety.Mounted;
import tallledger.core.seal.Fingerprint;
import tallledger.core.survey.AppraisalEvent;
import tallledger.core.survey.Basis;
import tallledger.core.survey.BookEvent;
import tallledger.core.survey.Event;
import tallledger.core.survey.FilmEvent;
import tallledger.core.survey.RunRecord;
import tallledger.core.survey.Survey;
import tallledger.core.survey.WorkEvent;
import tallledger.core.unit.LengthUnit;
import tallledger.web.runsheet.RecordingViews;
import tallledger.web.words.Words;

/** What each kind of entry says, in words. */
record EntryWords(Words words, Survey survey) implements Event.EventVisitor<String> {

    @Override
    public String opened(BookEvent.Opened event, Entry entry) {
        return words.say("entry.opened", event.version(), event.rules(), event.role(), event.judgedAs());
    }

    @Override
    public String judgedAs(BookEvent.JudgedAs event, Entry entry) {
        return words.say("entry.judged-as", event.grade());
    }

    @Override
    public String descriptionAdopted(BookEvent.DescriptionAdopted event, Entry entry) {
        return words.say("entry.adopted", event.version());
    }

    @Override
    public String rulesAdopted(BookEvent.RulesAdopted event, Entry entry) {
        return words.say("entry.rules-adopted", event.version());
    }

    @Override
    public String startConfirmed(WorkEvent.StartConfirmed event, Entry entry) {
        return words.say("entry.start", event.items().size()) + event.mounted()
                .map(m -> mounted(m, event.basis().map(Basis::bare).orElse(LengthUnit.MM))).orElse("")
                + (event.despite().isEmpty() ? "" : words.say("entry.start-despite", event.despite()));
    }

    @Override
    public String stopped(WorkEvent.Stopped event, Entry entry) {
        return words.say("entry.stopped");
    }

    @Override
    public String planChosen(WorkEvent.PlanChosen event, Entry entry) {
        return words.say("entry.plan", event.school(), event.minutes().isEmpty() ? 0 : 1, event.minutes());
    }

    @Override
    public String run(WorkEvent.RunMade event, Entry entry) {
        RunRecord run = event.record();
        Stream<Optional<String>> parts = Stream.of(
                Optional.of(run.reading().map(this::read).orElseGet(() -> words.say(run.swept() ? "entry.swept" : "entry.unread"))),
                Optional.of(run.symptoms().stream().map(words::of).collect(Collectors.joining(", "))),
                run.shift().filter(s -> s.symptom().isEmpty()).map(words::of),
                run.loaded() ? Optional.of(words.say("entry.loaded")) : Optional.empty(),
                run.quiet() ? Optional.of(words.say("entry.quiet")) : Optional.empty(),
                Optional.of(run.remark()));
        return joined(parts.flatMap(Optional::stream).toList());
    }

    private String read(SpeedReading reading) {
        Optional<FilmCount> film = reading.inFilm();
        if (film.isPresent()) {
            return words.say("entry.film-count", reading.asTyped().get("turns"), reading.asTyped().get("seconds"), film.get().frames(),
                    film.get().playing().isPresent() ? 1 : 0, film.get().playing().orElse(BigDecimal.ONE));
        }
        if (reading.method() == Method.TAP_COUNT) {
            return words.say("entry.taps", reading.asTyped().get("turns"), reading.asTyped().get("seconds"));
        }
        if (reading.asTyped().containsKey("factor")) {
            return words.say("entry.read-before", reading.asTyped().get("reading"), reading.asTyped().get("factor"), reading.rpm());
        }
        String marks = Optional.ofNullable(reading.asTyped().get("marks")).map(m -> " " + words.say("entry.marks", m)).orElse("");
        return words.say("entry.read", reading.asTyped().get("reading"), reading.method()) + marks;
    }

    @Override
    public String passedOver(WorkEvent.PassedOver event, Entry entry) {
        return event.reason();
    }

    @Override
    public String remark(BookEvent.Remarked event, Entry entry) {
        return event.text();
    }

    @Override
    public String check(WorkEvent.Checked event, Entry entry) {
        String seconds = event.seconds().map(TypedNumber::typed).orElse("");
        return words.say(event.good() ? "entry.check-good" : "entry.check-bad", event.check(), seconds.isEmpty() ? 0 : 1, seconds,
                event.remark());
    }

    /** What was typed, field by field, and what the surveyor said of it. */
    @Override
    public String step(WorkEvent.StepDone event, Entry entry) {
        List<String> parts = new ArrayList<>();
        if (event.flagged()) {
            parts.add(words.say("entry.not-right"));
        } else if (event.typed().isEmpty()) {
            parts.add(words.say("entry.right"));
        }
        LengthUnit unit = event.basis().map(Basis::unit).orElse(survey.machine().identity().unit());
        survey.steps().step(event.step())
                .ifPresentOrElse(step -> parts.addAll(RecordingViews.line(step.recording(), event.typed(), unit, survey.rules(), words)),
                        () -> event.typed().values().stream().sorted().forEach(parts::add));
        parts.add(event.remark());
        return joined(parts);
    }

    @Override
    public String later(WorkEvent.PutLater event, Entry entry) {
        return words.say("entry.later");
    }

    @Override
    public String temperatures(WorkEvent.TemperaturesTaken event, Entry entry) {
        return words.say("entry.temperatures", event.temperatures().machine().value(), event.temperatures().gauge().value());
    }

    @Override
    public String cut(WorkEvent.CutDone event, Entry entry) {
        return words.say(InUnit.of(event.cut().says(), survey.machine().unit()));
    }

    @Override
    public String priced(AppraisalEvent.Priced event, Entry entry) {
        Stakes s = event.stakes();
        return words.say("entry.priced", s.asking().isPresent() ? 1 : 0,
                s.asking().map(a -> Words.withCurrency(a.typed(), s.currency())).orElse(""),
                s.sound().isPresent() ? 1 : 0, s.sound().map(a -> Words.withCurrency(a.typed(), s.currency())).orElse(""), s.background());
    }

    @Override
    public String kit(AppraisalEvent.KitSeen event, Entry entry) {
        KitItem item = event.item();
        List<String> parts = new ArrayList<>(List.of(item.name() + ": " + words.of(item.state())));
        if (item.isPromised()) {
            parts.add(words.say("entry.kit-promised", item.promised()));
        }
        item.cost().ifPresent(c -> parts.add(words.say("entry.kit-cost", c)));
        item.until().ifPresent(u -> parts.add(words.say("entry.kit-until", u.toString())));
        parts.add(item.note());
        return joined(parts);
    }

    @Override
    public String lift(AppraisalEvent.LiftWeighed event, Entry entry) {
        return words.say(InUnit.of(event.lift().says(survey.rules()), survey.machine().unit()));
    }

    @Override
    public String photo(BookEvent.PhotoTaken event, Entry entry) {
        return words.say("entry.photo", event.photo().caption(), event.photo().width(), event.photo().height(),
                event.photo().sha256().substring(0, 8));
    }

    @Override
    public String clip(BookEvent.ClipTaken event, Entry entry) {
        return words.say("entry.clip", event.clip().caption(), event.clip().megabytes(),
                event.clip().sha256().substring(0, 8));
    }

    @Override
    public String sound(BookEvent.SoundTaken event, Entry entry) {
        return words.say("entry.sound", event.recording().seconds(), event.recording().megabytes(), event.recording().stood(),
                event.recording().sha256().substring(0, 8));
    }

    @Override
    public String photoMarked(BookEvent.PhotoMarked event, Entry entry) {
        return words.say("entry.photo-marked", event.photo(), event.marks().stream().map(m -> words.say(m.says()))
                .collect(Collectors.joining(", ")));
    }

    @Override
    public String camera(BookEvent.Camera event, Entry entry) {
        return words.say("entry.camera", event.what().ordinal(), event.seconds());
    }

    @Override
    public String filmOpened(FilmEvent.FilmOpened event, Entry entry) {
        FilmFile film = event.film();
        return joined(List.of(words.say("entry.film", film.name(), film.from(), film.made().isEmpty() ? 0 : 1, film.made()),
                film.seconds().map(s -> words.say("entry.film-length", FilmMoment.shown(s))).orElse(""),
                film.rate().map(FrameRate::says).map(words::say).orElse(""), words.say("entry.film-hash", film.sha256().substring(0, 8))));
    }

    @Override
    public String filmCut(FilmEvent.FilmCut event, Entry entry) {
        return words.say("entry.film-cut", survey.footage().number(event.film()), FilmMoment.shown(event.second()));
    }

    @Override
    public String narration(FilmEvent.NarrationKept event, Entry entry) {
        return words.say("entry.narration", event.speaker(), event.lines(), survey.footage().number(event.film()));
    }

    @Override
    public String heard(FilmEvent.Heard event, Entry entry) {
        return words.say("entry.heard", event.answer(), event.speaker(), event.words(), event.said().isEmpty() ? 0 : 1, event.said())
                + event.claim().map(c -> "; " + words.say("entry.heard-claim", c.attribute(), c.value())).orElse("");
    }

    @Override
    public String letterSent(FilmEvent.LetterSent event, Entry entry) {
        return words.say("entry.letter", event.to(), event.tasks().size());
    }

    @Override
    public String closed(BookEvent.Closed event, Entry entry) {
        return words.say("entry.closed", Fingerprint.read(event.key()).map(Fingerprint::words).orElse(event.key()));
    }

    @Override
    public String regraded(AppraisalEvent.Regraded event, Entry entry) {
        return words.say("entry.regraded", event.regrade().target(), event.regrade().severity(), event.regrade().why(),
                event.regrade().whose().ordinal());
    }

    @Override
    public String repaired(WorkEvent.Repaired event, Entry entry) {
        return event.part().system()
                .map(system -> words.say("entry.system-repaired", words.say(system.words(survey.machine().fitOut())), event.what()))
                .orElseGet(() -> words.say("entry.repaired", event.part().mechanism().map(m -> words.say("page.mechanism", m.stage()))
                        .orElseGet(() -> event.part().ofDrive().orElseThrow()), event.what()));
    }

    @Override
    public String strike(BookEvent.Struck event, Entry entry) {
        return words.say("entry.strike", event.target(), event.reason());
    }

    private String mounted(Payload m, LengthUnit bare) {
        List<String> parts = new ArrayList<>(List.of(words.of(Mounted.Kind.valueOf(m.text("kind")))));
        parts.add(m.text("diameter").isEmpty() ? "" : words.say("entry.mounted-diameter", withUnit(m.text("diameter"), bare.symbol())));
        parts.add(m.text("markedRpm").isEmpty() ? "" : words.say("entry.mounted-rpm", m.text("markedRpm")));
        parts.add(m.text("markedMs").isEmpty() ? ""
                : words.say("entry.mounted-marked",
                        withUnit(m.text("markedMs"), FieldUnit.WHEEL.in(bare))));
        parts.add(m.text("askedOf").isEmpty() ? "" : words.say("entry.mounted-asked", m.text("askedOf")));
        return "; " + words.say("entry.mounted", parts.stream().filter(part -> !part.isEmpty()).collect(Collectors.joining(", ")));
    }

    /** A bare figure with the unit it was typed in. */
    private static String withUnit(String typed, String unit) {
        return typed.chars().anyMatch(Character::isLetter) ? typed : typed + " " + unit;
    }

    private static String joined(List<String> parts) {
        return parts.stream().filter(part -> !part.isEmpty()).collect(Collectors.joining("; "));
    }
}
