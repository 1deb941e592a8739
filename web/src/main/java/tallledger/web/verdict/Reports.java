package tallledger.web.verdict;

import java.util.Base64;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import tallledger.core.verdict.Money;
import tallledger.web.record.AsItStands;
import tallledger.web.record.Attachments;
import tallledger.web.record.LastAsked;
import tallledger.web.record.Survey;
import tallledger.web.words.Marks;
import tallledger.web.words.Words;

/** What the verdict's pages, its print and its PDF are made of. */
@Component
public class Reports {

    private static final int MOST_KEPT = 32;

    private final LastAsked<AsItStands, VerdictView> verdicts;
    private final LastAsked<AsItStands, MoneyView> money;
    private final Words words;
    private final Marks marks;
    private final PdfReport pdf;
    private final Attachments attachments;

    Reports(PdfReport pdf, Attachments attachments, Words words, Marks marks) {
        this.verdicts = new LastAsked<>(MOST_KEPT, asked -> VerdictView.of(asked.survey(), words, marks));
        this.money = new LastAsked<>(MOST_KEPT, asked -> MoneyView.of(asked.survey(), Money.WhatIf.NOTHING, words));
        this.words = words;
        this.marks = marks;
        this.pdf = pdf;
        this.attachments = attachments;
    }

    Map<String, Object> view(Survey survey) {
        return Map.of("survey", survey, "verdict", verdicts.of(new AsItStands(survey)), "money", money.of(new AsItStands(survey)));
    }

    /** What the print of a survey of elsewhere is made of; of those nothing is kept in memory, since they have no book here. */
    public Map<String, Object> handed(Survey survey) {
        return Map.of("survey", survey, "verdict", VerdictView.of(survey, words, marks), "money", MoneyView.of(survey, Money.WhatIf.NOTHING, words), "withMoney", false, "brief", false);
    }

    /** The report, without money: what a buyer reckons is theirs. Made again from the same entries it is the same bytes. */
    public byte[] pdf(Survey survey) {
        return pdf(survey, false, false, false);
    }

    /** @param brief one page: identity, at a glance, findings, standing */
    byte[] pdf(Survey survey, boolean withMoney, boolean letter, boolean brief) {
        Map<String, Object> all = whole(survey, withMoney);
        all.put("brief", brief);
        return pdf.render(all, survey.entries().get(survey.entries().size() - 1).at(), letter);
    }

    /** The same as one page that needs no other. */
    String page(Survey survey, boolean withMoney) {
        return pdf.page(whole(survey, withMoney));
    }

    private Map<String, Object> whole(Survey survey, boolean withMoney) {
        Map<Integer, String> images = new HashMap<>();
        survey.core().photos().forEach(p -> attachments.attachment(p.sha256()).ifPresent(row -> images.put(p.entry(),
                "data:" + row.type() + ";base64," + Base64.getEncoder().encodeToString(row.bytes()))));
        Map<String, Object> all = new HashMap<>(view(survey));
        all.put("images", images);
        all.put("withMoney", withMoney);
        all.put("brief", false);
        return all;
    }
}
