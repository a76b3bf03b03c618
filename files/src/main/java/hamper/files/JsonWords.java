package hamper.files;

import hamper.value.Require;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.InputCoercionException;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.exc.UnexpectedEndOfInputException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** What is wrong with a piece of JSON, in our words: those of the library speak of its inside. */
final class JsonWords {
  /** Longest list of allowed words that is told. */
  private static final int MOST_WORDS = 60;

  private JsonWords() {}

  /** What stands at the wrong place, and what is allowed there. */
  record Words(String found, String allowed) {}

  /** What does not even read as JSON. */
  static String unreadable(JacksonException e) {
    String message = String.valueOf(e.getOriginalMessage());
    if (e instanceof UnexpectedEndOfInputException || message.contains("end-of-input")) {
      return "it ends in the middle";
    }
    if (message.startsWith("Duplicate")) {
      return "the field stands twice" + quotedIn(message);
    }
    if (e instanceof StreamConstraintsException) {
      return "it is nested too deeply, or a number or name in it is too long";
    }
    return "a character that cannot stand here";
  }

  private static String quotedIn(String message) {
    int begin = message.indexOf('"');
    int end = message.lastIndexOf('"');
    return begin < end ? ": " + Require.quoted(message.substring(begin + 1, end)) : "";
  }

  /** What reads as JSON and is not what belongs there. */
  static Words unsuitable(JacksonException e) {
    if (e instanceof UnrecognizedPropertyException unknown) {
      return new Words(
          Require.quoted(unknown.getPropertyName()), "there is no field of this name here");
    }
    if (e instanceof InvalidTypeIdException kind) {
      return new Words(
          Require.quoted(kind.getTypeId()),
          "it says which kind of thing this is, and there is none of this name");
    }
    if (e instanceof InvalidFormatException wrong) {
      return new Words(shown(wrong.getValue()), wanted(wrong.getTargetType()));
    }
    if (e instanceof InputCoercionException number) {
      return new Words("a number too large or not whole", wanted(number.getTargetType()));
    }
    if (e instanceof MismatchedInputException wrong) {
      // the library's words for a field that is not there
      return String.valueOf(e.getOriginalMessage()).toLowerCase(Locale.ROOT).contains("null")
          ? new Words("nothing", "this field has to be there")
          : new Words("something else", wanted(wrong.getTargetType()));
    }
    if (isNothing(e)) {
      return new Words("nothing", "no entry of a list or of an object stands empty (null) here");
    }
    return new Words("what stands there", "it is not JSON: " + unreadable(e));
  }

  /** Our lists and tables hold no nulls, and say so when they are made. */
  private static boolean isNothing(Throwable e) {
    for (Throwable cause = e; cause != null; cause = cause.getCause()) {
      if (cause instanceof NullPointerException) {
        return true;
      }
    }
    return false;
  }

  private static String shown(Object value) {
    return value instanceof String text ? Require.quoted(text) : String.valueOf(value);
  }

  /** What belongs there. */
  private static String wanted(Class<?> type) {
    if (type == null) {
      return "this cannot stand here";
    }
    if (type.isEnum()) {
      return "allowed is one of "
          + Arrays.stream(type.getEnumConstants())
              .limit(MOST_WORDS)
              .map(String::valueOf)
              .collect(Collectors.joining(", "));
    }
    if (type == int.class || type == Integer.class || type == long.class || type == Long.class) {
      return "a whole number of at most %,d stands here".formatted(Integer.MAX_VALUE);
    }
    if (type == double.class || type == Double.class) {
      return "a number stands here";
    }
    if (type == boolean.class || type == Boolean.class) {
      return "true or false stands here";
    }
    if (type == String.class) {
      return "a text in quotation marks stands here";
    }
    return List.class.isAssignableFrom(type)
        ? "a list in square brackets stands here"
        : "an object in braces stands here, as docs/formats says";
  }
}
