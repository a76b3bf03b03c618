package hamper.standin;

/**
 * What a device says of itself.
 *
 * @param ownName what people called it; empty before anybody did
 */
record Label(String maker, String product, String ownName) {}
