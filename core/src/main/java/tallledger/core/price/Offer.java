package tallledger.core.price;

/**
 * What to offer (W 4.2): start − put-right − kit − a share of the unknown, none above the asking price nor below what it fetches as
 * scrap and parts.
 *
 * <p>Worked: 4 000, put-right 300 (80th percentile 371.5), kit 260, unknown 400: offer 3 240, opening 2 968.5, ceiling 3 340. Mass
 * 1 150 kg at 0.15: no figure under 172.50.
 *
 * @param start   value the reckoning starts from
 * @param opening put-right at its 80th percentile and all the unknown
 * @param offer   put-right mean and half the unknown (house share)
 * @param ceiling put-right mean and a quarter of it
 * @param floor   what it fetches as scrap and parts, no more than is asked
 * @param onFloor whether so little is known, or so much is wrong, that only that is safe
 * @param worth   what the offer would be were the asking price no bound
 * @param doubt   share of the unknown the offer takes off
 */
public record Offer(double start, double opening, double offer, double ceiling, double floor, boolean onFloor, double worth,
        double doubt) {

    /**
     * Reckoned.
     *
     * @param asking price asked; no bound where nobody said
     * @param scrap  what it fetches as scrap and parts
     * @param shares of the unknown for opening, offer and ceiling
     */
    public static Offer of(double start, double asking, double scrap, RepairBill putRight, double kit, double unknown, double[] shares) {
        double floor = Math.min(scrap, asking);
        boolean tooMuch = putRight.mean() + unknown > start - scrap;
        double doubt = shares[1] * unknown;
        double opening = start - putRight.eightieth() - kit - shares[0] * unknown;
        double offer = start - putRight.mean() - kit - doubt;
        double ceiling = start - putRight.mean() - kit - shares[2] * unknown;
        return tooMuch ? new Offer(start, floor, floor, floor, floor, true, floor, doubt)
                : new Offer(start, within(opening, floor, asking), within(offer, floor, asking), within(ceiling, floor, asking), floor,
                        offer <= floor, Math.max(offer, floor), doubt);
    }

    private static double within(double figure, double floor, double asking) {
        return Math.min(asking, Math.max(floor, figure));
    }

    /** Whether it is worth more than is asked. */
    public boolean isMoreThanAsked() {
        return worth > offer + 0.005;
    }
}
