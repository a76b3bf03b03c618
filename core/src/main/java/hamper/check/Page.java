package hamper.check;

/**
 * A check's page of truth.
 *
 * @param code short, stable, such as "port-limit"
 * @param severity of its findings; a check that tells worse cases from better ones says so in
 *     {@code compares}
 * @param compares what it compares with which threshold
 * @param yard what one would see in the yard
 */
public record Page(
    String code, Area area, Severity severity, String title, String compares, String yard) {}
