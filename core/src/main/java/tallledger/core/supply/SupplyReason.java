package tallledger.core.supply;

import java.util.List;
import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum SupplyReason implements ReasonCode {
    LIMIT_VOLTAGE("limit.voltage", "percent", "plate"), LIMIT_UNBALANCE("limit.unbalance"), LIMIT_HERTZ("limit.hertz", "percent", "plate"),
    SUPPLY_HERTZ_OFF("supply.hertz-off", "there", "wanted", "share"),
    SUPPLY_HERTZ_RIGHT("supply.hertz-right", "there", "wanted", "share"),
    SUPPLY_PHASES("supply.phases", "phases"),
    SUPPLY_PHASES_MISSING("supply.phases-missing", "phases", "count"),
    SUPPLY_PHASES_RIGHT("supply.phases-right", "phases", "count"),
    SUPPLY_PLATE_VOLTS_UNREAD("supply.plate-volts-unread"),
    SUPPLY_UNBALANCE_DERATE("supply.unbalance-derate", "off", "derate"),
    SUPPLY_UNBALANCE_RIGHT("supply.unbalance-right", "off", "derate"),
    SUPPLY_UNBALANCE_STOP("supply.unbalance-stop", "off", "stop"),
    SUPPLY_CONNECTION("supply.connection", "typed", "mean"),
    SUPPLY_RANGE("supply.range", "low", "high"),
    SUPPLY_VOLTAGE("supply.voltage", "typed"),
    SUPPLY_VOLTS("supply.volts", "v", "mostVolts"),
    SUPPLY_VOLTS_OFF("supply.volts-off", "mean", "wanted", "off", "number"),
    SUPPLY_VOLTS_RIGHT("supply.volts-right", "mean", "wanted", "off", "number"),
    SUPPLY_SIZE_UNKNOWN(List.of(SupplyReading.Source.ROTARY_CONVERTER, SupplyReading.Source.STATIC_CONVERTER,
            SupplyReading.Source.INVERTER), "supply.size-unknown"),
    SUPPLY_SIZE_RIGHT(List.of(Sized.values()), "supply.size-right", "rating", "motor", "wanted"),
    SUPPLY_SIZE_SMALL(List.of(Sized.values()), "supply.size-small", "rating", "motor", "wanted");

    private final Sentence sentence;

    SupplyReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    /** A row of sentences, one for each of these. */
    SupplyReason(List<Enum<?>> row, String code, String... arguments) {
        sentence = Sentence.row(row, code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }

    /** What is sized, and how. */
    enum Sized { INVERTER, HEAVY, CONVERTER }
}
