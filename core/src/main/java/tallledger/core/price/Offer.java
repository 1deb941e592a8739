package tallledger.core.price;

/**
 * What to offer: start − put-right − kit − a share of the unknown, none below nought.
 *
 * <p>Worked: 4 000, put-right 300 (80th percentile 371.5), kit 260, unknown 400: offer 3 240, opening 2 968.5, ceiling 3 340.
 *
 * @param start   value the reckoning starts from
 * @param opening put-right at its 80th percentile and all the unknown
 * @param offer   put-right mean and half the unknown (house share)
 * @param ceiling put-right mean and a quarter of it
 */
public record Offer(double start, double opening, double offer, double ceiling) {

    /** @param shares of the unknown for opening, offer and ceiling */
    public static Offer of(double start, CostSum putRight, double kit, double unknown, double[] shares) {
        return new Offer(start, Math.max(0, start - putRight.eightieth() - kit - shares[0] * unknown),
                Math.max(0, start - putRight.mean() - kit - shares[1] * unknown),
                Math.max(0, start - putRight.mean() - kit - shares[2] * unknown));
    }
}
