package tallledger.web.verdict;

import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Photo;
import tallledger.core.verdict.Money;
import tallledger.web.cache.Memo;
import tallledger.web.drawings.Drawings;
import tallledger.web.library.AsItStands;
import tallledger.web.library.StoredSurvey;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Attachments;
import tallledger.web.words.Marks;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;
import tallledger.web.works.Progress;

/** What the verdict's pages, its print and its PDF are made of. */
@Component
public class Reports {

    private static final int MOST_KEPT = 32;

    /** What can be printed of a survey. */
    enum Form {
        WHOLE("verdict/print"),
        /** One page: identity, at a glance, findings, standing. */
        SHORT("verdict/short"),
        /** Characteristic by characteristic, as found and as left, to be signed. */
        CERTIFICATE("verdict/certificate");

        private final String template;

        Form(String template) {
            this.template = template;
        }

        String template() {
            return template;
        }

        /** As an address names it; the whole where it names none. */
        static Form named(String name) {
            return switch (name) {
                case "short" -> SHORT;
                case "certificate" -> CERTIFICATE;
                default -> WHOLE;
            };
        }
    }

    private final Memo<AsItStands, VerdictView> verdicts;
    private final Memo<AsItStands, MoneyView> money;
    private final Memo<AsItStands, ReportView> reports;
    private final Drawings drawings;
    private final Words words;
    private final Marks marks;
    private final PdfReport pdf;
    private final Attachments attachments;

    Reports(PdfReport pdf, Attachments attachments, Drawings drawings, Words words, Marks marks) {
        this.verdicts = new Memo<>(MOST_KEPT, asked -> VerdictView.of(asked.survey()));
        this.money = new Memo<>(MOST_KEPT, asked -> MoneyView.of(asked.survey(), Money.WhatIf.NOTHING, words));
        this.reports = new Memo<>(MOST_KEPT, asked -> ReportView.of(asked.survey(), verdicts.of(asked), drawings, words, marks));
        this.drawings = drawings;
        this.words = words;
        this.marks = marks;
        this.pdf = pdf;
        this.attachments = attachments;
    }

    Map<String, Object> view(StoredSurvey survey) {
        return Map.of("survey", survey, "verdict", verdicts.of(new AsItStands(survey)), "money", money.of(new AsItStands(survey)));
    }

    /** What the print of a survey of elsewhere is made of; of those nothing is kept in memory, since they have no book here. */
    public Map<String, Object> handed(StoredSurvey survey) {
        VerdictView verdict = VerdictView.of(survey);
        return Map.of("survey", survey, "verdict", verdict, "money", MoneyView.of(survey, Money.WhatIf.NOTHING, words), "report",
                ReportView.of(survey, verdict, drawings, words, marks), "withMoney", false);
    }

    /** The same with what only the report has. */
    Map<String, Object> report(StoredSurvey survey) {
        Map<String, Object> all = new HashMap<>(view(survey));
        all.put("report", reports.of(new AsItStands(survey)));
        return all;
    }

    /** The report, without money: what a buyer reckons is theirs. Made again from the same entries it is the same bytes. */
    public byte[] pdf(StoredSurvey survey) {
        return pdf(survey, Form.WHOLE, false, false, Progress.unwatched());
    }

    /** The same, telling how far it is. */
    public byte[] pdf(StoredSurvey survey, Progress progress) {
        return pdf(survey, Form.WHOLE, false, false, progress);
    }

    byte[] pdf(StoredSurvey survey, Form form, boolean withMoney, boolean letter, Progress progress) {
        Map<Integer, String> images = new HashMap<>();
        survey.core().photos().stream().filter(p -> attachments.attachment(p.sha256()).isPresent())
                .forEach(p -> images.put(p.entry(), Photographs.address(p.sha256())));
        Photographs photographs = new Photographs(hash -> attachments.attachment(hash).map(AttachmentRow::bytes), images.size(), progress);
        return pdf.render(form, whole(survey, withMoney, images), survey.entries().get(survey.entries().size() - 1).at(), letter,
                photographs);
    }

    /** The same as one page that needs no other. */
    String page(StoredSurvey survey, boolean withMoney, Progress progress) {
        Map<Integer, String> images = new HashMap<>();
        List<Photo> photos = survey.core().photos();
        for (int i = 0; i < photos.size(); i++) {
            int entry = photos.get(i).entry();
            progress.at(i / (double) photos.size(), Reason.of(WebReason.WORK_PHOTOGRAPHS, i + 1, photos.size()));
            attachments.attachment(photos.get(i).sha256())
                    .ifPresent(row -> images.put(entry, "data:" + row.type() + ";base64," + Base64.getEncoder()
                            .encodeToString(row.bytes())));
        }
        progress.at(1, Reason.of(WebReason.WORK_WRITES));
        return pdf.page(whole(survey, withMoney, images));
    }

    private Map<String, Object> whole(StoredSurvey survey, boolean withMoney, Map<Integer, String> images) {
        Map<String, Object> all = report(survey);
        all.put("images", images);
        all.put("withMoney", withMoney);
        return all;
    }
}
