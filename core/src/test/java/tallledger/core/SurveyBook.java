package tallledger.core;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.family.Step;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reading.SpeedReading;
import tallledger.core.survey.Basis;
import tallledger.core.survey.RunRecord;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.Survey;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;

/** A survey's entries for tests, written one after the other as the forms would: what must be confirmed is. */
public final class SurveyBook {

    public static final String ME = "Q. Tester";
    public static final House HOUSE = House.shipped(List.of());
    /** A metric machine as first described. */
    public static final Basis BASIS = Basis.of(LengthUnit.MM, 1, 1);

    private final List<Entry> entries = new ArrayList<>();
    private final MachineDescription machine;
    private final int pace;
    private Instant now = Instant.parse("2026-05-09T08:00:00Z");

    /** @param pace seconds from one entry to the next */
    public SurveyBook(MachineDescription machine, Scope scope, int pace) {
        this.machine = machine;
        this.pace = pace;
        write(SurveyEntries.opened(Authorship.of(now, ME), 1, "h1", HOUSE, "buyer", scope, Grade.WORKABLE));
    }

    public Entry write(Draft draft) {
        entries.add(Entry.following(entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1)), draft));
        now = now.plusSeconds(pace);
        return entries.get(entries.size() - 1);
    }

    public void pause(int seconds) {
        now = now.plusSeconds(seconds);
    }

    public Entry run(List<String> settings, String rpm, boolean loaded, Symptom... symptoms) {
        return run(settings, rpm, loaded, null, false, symptoms);
    }

    /** @param rpm as read on a tachometer; empty for a run that was not read */
    public Entry run(List<String> settings, String rpm, boolean loaded, ShiftFeel feel, boolean quiet, Symptom... symptoms) {
        Optional<SpeedReading> reading = rpm.isEmpty() ? Optional.empty() : Optional.of(SpeedReading.byTachometer(rpm));
        return write(SurveyEntries.run(Authorship.of(now, ME), BASIS, spindle(),
                new RunRecord(settings, reading, Set.of(symptoms), Optional.ofNullable(feel), quiet, loaded, false, "")));
    }

    public Entry step(String id, boolean flagged, String... fieldsAndValues) {
        Map<String, String> typed = new HashMap<>();
        for (int i = 0; i < fieldsAndValues.length; i += 2) {
            typed.put(fieldsAndValues[i], fieldsAndValues[i + 1]);
        }
        StepLedger ledger = ledger();
        Step step = ledger.step(id).orElseThrow();
        List<String> confirmed = ledger.asked(step).stream().filter(StepLedger.AskedNeed::changed).map(a -> a.need().written()).toList();
        return write(SurveyEntries.step(Authorship.of(now, ME), ledger, step, typed, Basis.of(LengthUnit.MM, 1, 1), flagged, confirmed,
                flagged ? "seen" : ""));
    }

    public MachineDescription machine() {
        return machine;
    }

    public List<Entry> entries() {
        return entries;
    }

    public Instant now() {
        return now;
    }

    public Survey survey() {
        return Survey.fold(machine, HOUSE, entries);
    }

    public SpindleSurvey spindle() {
        return Survey.fold(machine, HOUSE, entries).drive();
    }

    public StepLedger ledger() {
        return Survey.fold(machine, HOUSE, entries).steps();
    }
}
