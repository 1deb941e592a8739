package tallledger.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.blame.Blame;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.family.Family;
import tallledger.core.family.MachinePart;
import tallledger.core.family.Step;
import tallledger.core.gauge.Grade;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.Claim;
import tallledger.core.machine.ClaimText;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.Inspection;
import tallledger.core.measuring.SingleMeasurement;
import tallledger.core.motion.AxisId;
import tallledger.core.plan.LookingWorth;
import tallledger.core.plan.SurveyPlan;
import tallledger.core.price.Background;
import tallledger.core.price.Stakes;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Basis;
import tallledger.core.survey.RunRecord;
import tallledger.core.survey.Scope;
import tallledger.core.survey.Survey;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;

/**
 * Thousands of random surveys of all families (the system property {@code surveys} says how many): no sentence of the statement,
         and nothing at a glance, says more than its entries. What
 * each sentence needs is read a second time from the entries' own fields, by nothing that the statement is made with.
 */
class SaysNoMoreTest {

    private static final int SURVEYS = Integer.getInteger("surveys", 4_000);
    private static final List<String> RANGES = List.of("A", "B", "C");
    private static final List<String> GEARS = List.of("1", "2", "3", "4");
    /** Kinds of entry that hold what was read, counted or seen at the machine. */
    private static final Set<String> RECORDED = Set.of("RUN", "STEP", "CHECK", "KIT", "LIFT", "SOUND");
    private static final double[] RPM = {31.5, 45, 63, 90, 125, 180, 250, 355, 500, 710, 1000, 1400};

    /** A family's machine with the steps that can be done at random. */
    private record Kind(MachineDescription machine, Survey blank, Entry opened, List<Step> looks, List<Step> measures,
            Map<Object, Step> byName) {
    }

    @Test
    void noSentenceSaysMoreThanItsEntries() {
        List<Kind> kinds = new ArrayList<>();
        for (Family family : Family.values()) {
            for (LengthUnit unit : LengthUnit.values()) {
                kinds.add(kind(claimed(Machines.twelve(family, unit))));
            }
        }
        Map<String, Integer> seen = new ConcurrentHashMap<>();
        IntStream.range(0, SURVEYS).parallel().forEach(i -> {
            Kind kind = kinds.get(i % kinds.size());
            List<Entry> entries = entries(kind, new Random(20_260_000 + i));
            Survey survey = kind.blank.grown(entries);
            new SecondReading(kind, entries).holds(survey, seen, "survey " + i + " of a " + kind.machine.identity().family());
        });
        assertThat(seen.keySet()).as("what was said at all, so that none of this is idle")
                .contains("statement.quiet", "statement.good", "statement.grade", "statement.measured", "statement.coverage",
                        "statement.inferred", "statement.shift-clean", "statement.deviations", "statement.step-bad",
                        "statement.steps-again",
                        "statement.steps-open", "statement.struck", "glance.stop", "glance.before", "glance.before-among",
                        "glance.nothing", "glance.little", "statement.step-passed", "statement.passed", "statement.repaired",
                        "statement.system-repaired", "statement.outside", "statement.open", "claim.UPHELD", "claim.CONTRADICTED",
                        "claim.UNTESTED",
                        "offer", "offer.floor", "heard and read");
    }

    /** Told of by its seller, about everything a claim can be of. */
    private static final String SAID = "12 speeds, 31.5 to 1400 rpm. Everything works. Built 1978. 5 hp motor. Weighs 1200 kg. Runs"
            + " quiet at "
            + "1400. All speeds work. No backlash. Ways reground 2015. 415 V three phase. Spindle runs true. Table 900 x 250 mm. "
            + "3 in collets. Chuck and vice included. Lamp works. Hydraulics good. Excellent condition. New bearings.";

    private static MachineDescription claimed(MachineDescription m) {
        return new MachineDescription(m.identity(), ClaimText.split(SAID, Claim.Source.SELLER, m.family(), m.unit(), m.fitOut().axes()),
                m.train(), m.plate(), m.motor(), m.feeds(), m.threads(), m.fitOut());
    }

    private static Kind kind(MachineDescription machine) {
        SurveyBook book = new SurveyBook(machine, Scope.WHOLE, 10);
        Survey blank = book.survey();
        List<Step> looks = blank.steps().inScope().stream().filter(s -> s.recording() instanceof Inspection).toList();
        List<Step> measures = blank.steps().inScope().stream().filter(s -> s.recording() instanceof SingleMeasurement).toList();
        assertThat(looks).isNotEmpty();
        Map<Object, Step> byName = new HashMap<>();
        blank.steps().inScope().forEach(s -> byName.put(s.name(), s));
        return new Kind(machine, blank, book.entries().get(0), looks, measures, byName);
    }

    private static List<Entry> entries(Kind kind, Random random) {
        List<Entry> entries = new ArrayList<>(List.of(kind.opened));
        Instant at = kind.opened.at();
        // Some surveys go through nearly everything, so that much is known of them; the most are short.
        boolean thorough = random.nextInt(8) == 0;
        List<Step> all = new ArrayList<>(kind.looks);
        all.addAll(kind.measures);
        int most = thorough ? 0 : 1 + random.nextInt(22);
        List<Draft> drafts = new ArrayList<>();
        if (thorough) {
            for (Step step : all) {
                draft(kind, step, random, at, 40).ifPresent(drafts::add);
            }
        }
        if (random.nextInt(3) == 0) {
            drafts.add(SurveyEntries.priced(Authorship.of(at.plusSeconds(5), SurveyBook.ME), Stakes.typed(String.valueOf(20
                    + random.nextInt(random.nextBoolean() ? 400 : 60_000)),
                    "", "£", Background.IN_DAILY_USE.name(), random.nextBoolean() ? "1 200" : "", "", "",
                    LengthUnit.MM)));
        }
        int wanted = drafts.size() + most;
        for (Draft draft : drafts) {
            at = write(entries, draft);
        }
        while (entries.size() <= wanted) {
            Authorship by = Authorship.of(at.plusSeconds(10), SurveyBook.ME);
            Step step = all.get(random.nextInt(all.size()));
            Optional<Draft> next = switch (random.nextInt(12)) {
                case 0, 1, 2, 3 -> Optional.of(run(kind, random, by));
                case 4 -> Optional.of(SurveyEntries.stepPassedOver(by, step, "no time"));
                case 5 -> Optional.of(SurveyEntries.passedOver(by, List.of(RANGES.get(random.nextInt(3)), GEARS.get(random.nextInt(4))),
                        "no time"));
                case 6 -> Optional.of(random.nextBoolean()
                        ? SurveyEntries.repaired(by, new MachinePart.Position("gear", GEARS.get(random.nextInt(4))), "bearing")
                        : SurveyEntries.repaired(by, step.system(), "put right"));
                case 7 -> strike(entries, by, random);
                default -> draft(kind, step, random, by.at(), 4);
            };
            next.ifPresent(d -> write(entries, d));
            at = by.at();
        }
        return entries;
    }

    private static Instant write(List<Entry> entries, Draft draft) {
        // What a statement says does not hang on hashes, and they take most of the time.
        entries.add(new Entry(Entry.FORMAT, entries.size() + 1, draft, Entry.BEFORE_FIRST, Entry.BEFORE_FIRST));
        return draft.at();
    }

    private static Optional<Draft> strike(List<Entry> entries, Authorship by, Random random) {
        try {
            return Optional.of(SurveyEntries.strike(by, entries, 1 + random.nextInt(entries.size()), "misread"));
        } catch (Refused not) {
            return Optional.empty();
        }
    }

    /** @param bad one in so many is not as it should be */
    private static Optional<Draft> draft(Kind kind, Step step, Random random, Instant at, int bad) {
        Authorship by = Authorship.of(at.plusSeconds(10), SurveyBook.ME);
        Map<String, String> typed = step.recording() instanceof SingleMeasurement
                ? Map.of("value", BigDecimal.valueOf(Math.pow(10, -3 + 2.5 * random.nextDouble())).setScale(3, RoundingMode.HALF_UP)
                        .toPlainString())
                : Map.of();
        try {
            List<String> confirmed = kind.blank.steps().asked(step).stream().map(a -> a.need().written()).toList();
            return Optional.of(SurveyEntries.step(by, kind.blank.steps(), step, typed, basis(kind), random.nextInt(bad) == 0,
                    confirmed, ""));
        } catch (Refused not) {
            return Optional.empty();
        }
    }

    private static Basis basis(Kind kind) {
        return Basis.of(kind.machine.unit(), 1, 1);
    }

    private static Draft run(Kind kind, Random random, Authorship by) {
        int which = random.nextInt(12);
        Set<Symptom> symptoms = random.nextInt(5) == 0 ? Set.of(Symptom.values()[random.nextInt(Symptom.values().length)]) : Set.of();
        boolean turns = symptoms.stream().noneMatch(Symptom::stopsDrive);
        double off = 1 + random.nextGaussian() * (random.nextInt(10) == 0 ? 0.2 : 0.03);
        Optional<SpeedReading> reading = turns && random.nextInt(6) > 0
                ? Optional.of(SpeedReading.byTachometer(BigDecimal.valueOf(RPM[which] * off).setScale(1, RoundingMode.HALF_UP)
                        .toPlainString()))
                : Optional.empty();
        boolean engages = !symptoms.contains(Symptom.WILL_NOT_ENGAGE);
        Optional<ShiftFeel> shift = engages && random.nextInt(3) == 0 ? Optional.of(ShiftFeel.values()[random.nextInt(3)])
                : Optional.empty();
        boolean quiet = symptoms.stream().noneMatch(Symptom::isNoise) && random.nextInt(3) == 0;
        return SurveyEntries.run(by, basis(kind), kind.blank.drive(),
                new RunRecord(List.of(RANGES.get(which / 4), GEARS.get(which % 4)), reading, symptoms,
                        shift.filter(s -> s.symptom().isEmpty()), quiet, false, false, ""));
    }

    /**
     * The entries read by their own fields: the last of each speed and step that was neither struck nor written before its part was put
     * right.
     */
    private static final class SecondReading {

        private static final List<String> METRIC = List.of("mm", "µm", "mm/rev", "mm/min", "mm/m", "m/min", "kW", "N·m", "°C", "K", "kg");
        private static final List<String> INCH = List.of("in", "thou", "in/rev", "in/min", "ft/min", "hp", "lbf·ft", "°F", "µin", "lb");
        private final List<String> others;
        private final List<Step> steps;
        private final Map<Object, Step> byName;
        private final Map<Integer, Entry> all = new HashMap<>();
        private final Set<Integer> struck = new HashSet<>();
        private final Map<String, Entry> runs = new TreeMap<>();
        private final Map<String, Entry> done = new HashMap<>();
        private final Set<String> passed = new HashSet<>();
        /** Speeds that failed before their gear was put right, and were not run since. */
        private final Map<String, Entry> again = new HashMap<>();

        SecondReading(Kind kind, List<Entry> entries) {
            this.others = kind.machine.unit() == LengthUnit.INCH ? METRIC : INCH;
            this.steps = kind.blank.steps().inScope();
            this.byName = kind.byName;
            entries.forEach(e -> all.put(e.sequence(), e));
            entries.forEach(e -> e.draft().strikes().ifPresent(struck::add));
            entries.stream().filter(e -> !struck.contains(e.sequence())).forEach(this::read);
        }

        @SuppressWarnings("unchecked")
        private void read(Entry e) {
            Map<String, Object> p = e.payload().fields();
            switch (e.kind()) {
                case "RUN" -> {
                    String speed = String.join("", (List<String>) p.get("settings"));
                    runs.put(speed, e);
                    again.remove(speed);
                    passed.remove(speed);
                }
                case "STEP" -> {
                    done.put((String) p.get("step"), e);
                    passed.remove(p.get("step"));
                }
                case "PASSED_OVER" -> passed.add(p.containsKey("step") ? (String) p.get("step")
                        : String.join("", (List<String>) p.get("settings")));
                case "REPAIRED" -> {
                    if (p.containsKey("label")) {
                        runs.entrySet().stream().filter(r -> r.getKey().endsWith((String) p.get("label"))
                                && outcome(r.getValue()).equals("FAILED")).forEach(r -> again.put(r.getKey(), r.getValue()));
                        runs.keySet().removeIf(speed -> speed.endsWith((String) p.get("label")));
                    } else {
                        done.keySet().removeIf(id -> steps.stream().anyMatch(s -> s.id().written().equals(id)
                                && s.system().name().equals(p.get("system"))
                                && s.system().axis().map(AxisId::written).orElse("").equals(p.getOrDefault("axis", ""))));
                    }
                }
                default -> {
                }
            }
        }

        @SuppressWarnings("unchecked")
        private static String judged(Entry e, String what) {
            return String.valueOf(((Map<String, Object>) e.payload().fields().get("judged")).get(what));
        }

        private static String outcome(Entry e) {
            return Boolean.TRUE.equals(e.payload().fields().get("flagged")) ? "FAILED" : judged(e, "outcome");
        }

        private Optional<Step> named(Object name) {
            return Optional.ofNullable(byName.get(name));
        }

        /** The entry that counts for a step named in a sentence. */
        private Entry of(Object name) {
            return done.get(named(name).orElseThrow().id().written());
        }

        private long runs(String field, Object value) {
            return runs.values().stream().filter(e -> value.equals(e.payload().fields().get(field))).count();
        }

        private long outcomes(Iterable<Entry> some, String outcome) {
            long count = 0;
            for (Entry e : some) {
                count += outcome(e).equals(outcome) ? 1 : 0;
            }
            return count;
        }

        private boolean everyGearRanWell(String speed) {
            return List.of(speed.substring(0, 1), speed.substring(1)).stream()
                    .allMatch(label -> runs.entrySet().stream().anyMatch(e -> e.getKey().contains(label)
                            && outcome(e.getValue()).equals("PROVEN"))
                            && runs.entrySet().stream()
                                    .noneMatch(e -> e.getKey().contains(label) && outcome(e.getValue()).equals("FAILED")));
        }

        private static List<String> list(Object names) {
            return String.valueOf(names).isEmpty() ? List.of() : List.of(String.valueOf(names).split(", "));
        }

        void holds(Survey survey, Map<String, Integer> seen, String which) {
            for (ConditionStatement.StatementSentence s : ConditionStatement.of(survey).sentences()) {
                seen.merge(s.words().code(), 1, Integer::sum);
                assertThat(all.keySet()).as(which).containsAll(s.entries());
                if (!s.words().code().equals("statement.struck")) {
                    assertThat(s.entries()).as(which + " rests on what was struck: " + s.words()).noneMatch(struck::contains);
                }
                assertThat(bears(s)).as("%s: %s, resting on %s", which, s.words(), s.entries()).isTrue();
                assertThat(otherUnits(s.words())).as("%s: %s", which, s.words()).isEmpty();
            }
            Finding.of(survey).forEach(f -> {
                assertThat(otherUnits(f.what())).as("%s: %s", which, f.what()).isEmpty();
            });
            for (ClaimVerdict v : ClaimVerdict.of(survey)) {
                seen.merge("claim." + v.standing(), 1, Integer::sum);
                assertThat(otherUnits(v.because())).as("%s: %s", which, v.because()).isEmpty();
                if (v.standing() != ClaimVerdict.Standing.UNTESTED) {
                    assertThat(v.entries()).as("%s: %s %s %s", which, v.claim(), v.standing(), v.because()).isNotEmpty()
                            .noneMatch(struck::contains).allMatch(e -> RECORDED.contains(all.get(e).kind()));
                }
            }
            // What is heard has a chance of being imagined, what is read has none: blame begins with a symptom, never with a figure.
            boolean heard = all.values().stream().filter(e -> e.kind().equals("RUN") && !struck.contains(e.sequence()))
                    .anyMatch(e -> !((List<?>) e.payload().fields().get("symptoms")).isEmpty());
            assertThat(heard || !LookingWorth.of(survey).driveFailed()).as(which + ": blamed by a figure alone").isTrue();
            // Nor is it said how likely nothing is behind a noise that a speed far off its plate came with.
            boolean readAsWell = all.values().stream().filter(e -> e.kind().equals("RUN") && !struck.contains(e.sequence()))
                    .anyMatch(e -> !((List<?>) e.payload().fields().get("symptoms")).isEmpty() && isFarOff(e)
                            && all.values().stream().noneMatch(r -> r.kind().equals("REPAIRED") && r.sequence() > e.sequence()));
            if (readAsWell) {
                seen.merge("heard and read", 1, Integer::sum);
                SurveyPlan plan = SurveyPlan.of(survey, all.get(1).at());
                assertThat(plan.imagined(survey.drive())).as(which).isEmpty();
                assertThat(plan.ended(survey.drive())).as(which).isNotEqualTo(Optional.of(Blame.Hunt.NO_FAULT));
            }
            Money money = Money.of(survey, Money.WhatIf.NOTHING);
            money.offer().ifPresent(o -> {
                seen.merge(o.onFloor() ? "offer.floor" : "offer", 1, Integer::sum);
                assertThat(o.opening()).as(which).isBetween(o.floor(), o.offer() + 1e-9);
                assertThat(o.offer()).as(which).isBetween(o.floor(), o.ceiling() + 1e-9);
                assertThat(o.ceiling()).as(which).isLessThanOrEqualTo(money.stakes().orElseThrow().asking().orElseThrow().value()
                        .doubleValue());
                assertThat(o.offer() > 0 || o.onFloor()).as(which + ": a nought is only where it is said in words").isTrue();
            });
            for (Reason said : VerdictGlance.of(survey, money).use()) {
                seen.merge(said.code(), 1, Integer::sum);
                assertThat(glanceBears(said, money)).as("%s: %s", which, said).isTrue();
            }
        }

        /** Whether a run was read over a tenth off its plate. */
        @SuppressWarnings("unchecked")
        private static boolean isFarOff(Entry run) {
            Map<String, Object> p = run.payload().fields();
            List<String> levers = (List<String>) p.get("settings");
            double plate = RPM[4 * RANGES.indexOf(levers.get(0)) + GEARS.indexOf(levers.get(1))];
            return p.get("reading") instanceof String read && Math.abs(Double.parseDouble(read) / plate - 1) > 0.1;
        }

        /** Units in a sentence that are not the machine's own, and figures whose unit is still to be chosen. */
        private List<Object> otherUnits(Object said) {
            if (said instanceof Quantity open) {
                return others.contains(open.unit().symbol()) ? List.of(open) : List.of();
            }
            if (said instanceof Reason r) {
                return r.is(CommonReason.FIGURE_UNIT) ? others.stream().filter(u -> String.valueOf(r.arguments().get(1)).equals(u))
                        .map(Object.class::cast).toList() : r.arguments().stream().flatMap(a -> otherUnits(a).stream()).toList();
            }
            return said instanceof List<?> list ? list.stream().flatMap(a -> otherUnits(a).stream()).toList() : List.of();
        }

        private boolean bears(ConditionStatement.StatementSentence s) {
            List<Object> a = s.words().arguments();
            String code = s.words().code();
            if (code.startsWith("statement.symptom.")) {
                String symptom = code.substring("statement.symptom.".length());
                Entry run = runs.get(a.get(0));
                return run != null && s.entries().equals(List.of(run.sequence())) && ((List<?>) run.payload().fields().get("symptoms"))
                        .contains(symptom);
            }
            if (code.startsWith("statement.shift.")) {
                return list(a.get(0)).stream()
                        .allMatch(speed -> code.endsWith(String.valueOf(runs.get(speed).payload().fields().get("shift"))));
            }
            return switch (code) {
                // Looks and graded measures alone are done at random: none is only read.
                case "statement.read" -> false;
                case "statement.steps" -> a.get(8).equals(0) && a.get(0).equals(done.size()) && a.get(1).equals(steps.size()) && a.get(2)
                        .equals((int) outcomes(done.values(), "PROVEN"))
                        && a.get(3).equals((int) outcomes(done.values(), "FAILED")) && a.get(4)
                                .equals((int) outcomes(done.values(), "UNDECIDED"));
                case "statement.judged-as" -> s.entries().equals(List.of(1)) && a.get(0) == Grade.WORKABLE;
                case "statement.nobodys" -> s.entries().size() == (int) a.get(0) && s.entries().stream()
                        .allMatch(e -> judged(all.get(e), "outcome").equals("UNDECIDED"));
                // Good without a grade is what somebody looked at; a figure is good by its limit or not at all.
                case "statement.good" -> ((List<?>) a.get(0)).stream()
                        .allMatch(n -> of(n) != null && outcome(of(n)).equals("PROVEN") && judged(of(n), "grade").equals("null")
                                && named(n).orElseThrow().recording() instanceof Inspection);
                case "statement.grade" -> ((List<?>) a.get(1)).stream()
                        .allMatch(n -> of(n) != null && outcome(of(n)).equals("PROVEN")
                                && judged(of(n), "grade").equals(a.get(0).toString()));
                case "statement.measured" -> outcome(of(a.get(0))).equals("PROVEN") && s.entries().contains(of(a.get(0)).sequence());
                case "statement.step-bad", "statement.step-bad-because" -> outcome(of(a.get(0))).equals("FAILED") && s.entries()
                        .equals(List.of(of(a.get(0)).sequence()));
                case "statement.step-close" -> outcome(of(a.get(0))).equals("UNDECIDED");
                case "statement.steps-open" -> ((List<?>) a.get(1)).stream()
                        .allMatch(n -> of(n) == null && !passed.contains(named(n).orElseThrow().id().written()));
                case "statement.steps-again" -> ((List<?>) a.get(0)).stream().allMatch(n -> of(n) == null);
                case "statement.step-passed" -> passed.contains(named(a.get(0)).orElseThrow().id().written());
                case "statement.passed" -> passed.contains(a.get(0));
                case "statement.none-run" -> runs.isEmpty() && again.isEmpty();
                case "statement.coverage" -> a.get(0).equals(runs.size() + again.size()) && s.entries().size() == runs.size() + again.size()
                        && a.get(1).equals(12) && a.get(2).equals((int) outcomes(runs.values(), "PROVEN")) && a.get(3)
                                .equals((int) outcomes(runs.values(), "FAILED"))
                        && a.get(4).equals((int) outcomes(runs.values(), "UNDECIDED") + again.size()) && a.get(5).equals((int) inferred())
                        && a.get(6).equals(12 - runs.size() - again.size() - (int) inferred());
                case "statement.inferred" -> list(a.get(0)).stream().allMatch(speed -> !runs.containsKey(speed) && everyGearRanWell(speed));
                case "statement.open" -> list(a.get(0)).stream().noneMatch(runs::containsKey);
                case "statement.deviation", "statement.deviations", "statement.deviation-none" -> deviations(a);
                case "statement.outside" -> outcome(runs.get(a.get(0))).equals("FAILED") && Math.abs(off(a.get(0).toString())) > 0.055;
                case "statement.too-close", "statement.unread", "statement.nothing-to-compare" -> outcome(runs.get(a.get(0)))
                        .equals("UNDECIDED");
                case "statement.shift-not-noted" -> runs.values().stream().noneMatch(e -> e.payload().fields().containsKey("shift"));
                case "statement.shift-clean" -> a.get(0).equals((int) runs("shift", "ENGAGES_CLEAN")) && a.get(1).equals(runs.size());
                case "statement.quiet" -> a.get(0).equals((int) runs("quiet", true)) && list(a.get(2)).stream()
                        .allMatch(speed -> Boolean.TRUE.equals(runs.get(speed).payload().fields().get("quiet")));
                case "statement.noise-not-noted" -> runs("quiet", true) == 0;
                case "statement.repaired", "statement.system-repaired" -> s.entries().stream()
                        .allMatch(e -> all.get(e).kind().equals("REPAIRED"));
                case "statement.to-repeat" -> list(a.get(0)).stream().noneMatch(runs::containsKey);
                case "statement.struck" -> a.get(0).equals(struck.size());
                case "statement.refused" -> !runs.containsKey(a.get(0)) && steps.stream().anyMatch(step -> isBad(step, "STOP_USE"))
                        && !struck.contains((int) ((Reason) a.get(1)).arguments().get(1));
                // "gear 2" is on one good run and no more, and the runs named go through every part named.
                case "statement.heard-once" -> list(a.get(0)).stream().map(part -> part.substring(part.length() - 1))
                        .allMatch(position -> outcomes(
                                runs.entrySet().stream().filter(r -> r.getKey().contains(position)).map(Map.Entry::getValue).toList(),
                                "PROVEN") == 1 && list(a.get(2)).stream().anyMatch(speed -> speed.contains(position)));
                case "statement.unchecked" -> s.entries().isEmpty();
                default -> throw new AssertionError("no second reading of " + s.words());
            };
        }

        private long inferred() {
            return RANGES.stream().flatMap(r -> GEARS.stream().map(g -> r + g))
                    .filter(speed -> !runs.containsKey(speed) && !again.containsKey(speed) && everyGearRanWell(speed)).count();
        }

        private double off(String speed) {
            double plate = RPM[4 * RANGES.indexOf(speed.substring(0, 1)) + GEARS.indexOf(speed.substring(1))];
            return Double.parseDouble(String.valueOf(runs.get(speed).payload().fields().get("reading"))) / plate - 1;
        }

        /** So many proven runs were read, and none further off than is said. */
        private boolean deviations(List<Object> a) {
            double[] offs = runs.entrySet().stream()
                    .filter(e -> outcome(e.getValue()).equals("PROVEN") && e.getValue().payload().fields().containsKey("reading"))
                    .mapToDouble(e -> off(e.getKey())).sorted().toArray();
            return a.get(0).equals(offs.length) && Math.abs((double) a.get(1) / 100 - offs[0]) < 1e-3
                    && Math.abs((double) a.get(2) / 100 - offs[offs.length - 1]) < 1e-3;
        }

        private boolean glanceBears(Reason said, Money money) {
            boolean stops = steps.stream().anyMatch(s -> isBad(s, "STOP_USE"));
            boolean before = steps.stream().anyMatch(s -> isBad(s, "BEFORE_USE")) || runs.values().stream()
                    .anyMatch(e -> ((List<?>) e.payload().fields().get("symptoms")).stream()
                            .anyMatch(List.of("JUMPS_OUT", "SLIPS", "NO_DRIVE", "WILL_NOT_ENGAGE", "HUNTS")::contains));
            return switch (said.code()) {
                case "glance.stop" -> stops;
                case "glance.before" -> !stops && before && money.known() >= 0.5;
                case "glance.before-among" -> !stops && before && money.known() < 0.5;
                case "glance.nothing" -> !stops && !before && money.known() >= 0.5;
                case "glance.little" -> money.known() < 0.5;
                default -> false;
            };
        }

        private boolean isBad(Step step, String ifBad) {
            Entry e = done.get(step.id().written());
            return e != null && outcome(e).equals("FAILED") && step.ifBad().name().equals(ifBad);
        }
    }
}
