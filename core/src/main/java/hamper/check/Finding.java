package hamper.check;

import java.util.List;

/**
 * One thing that a check reports.
 *
 * @param code of the check, such as "port-limit"
 * @param area of the check
 * @param title of the check
 * @param message with the numbers and their units
 * @param yard what one would see in the yard
 * @param found the value met, with its unit
 * @param allowed the value allowed, with its unit
 * @param subjects at least one, the main one first
 */
public record Finding(
    String code,
    Area area,
    Severity severity,
    String title,
    String message,
    String yard,
    String found,
    String allowed,
    List<Subject> subjects) {
  public Finding {
    subjects = List.copyOf(subjects);
  }
}
