package tallledger.web.library;

/** A survey as it stands: the same as long as its fold is, which is made anew with every entry. */
public record AsItStands(StoredSurvey survey) {

    @Override
    public boolean equals(Object other) {
        return other instanceof AsItStands that && that.survey.core() == survey.core() && that.survey.broken().equals(survey.broken());
    }

    @Override
    public int hashCode() {
        return System.identityHashCode(survey.core());
    }
}
