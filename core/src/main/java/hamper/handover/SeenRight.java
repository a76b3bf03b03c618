package hamper.handover;

import hamper.address.IpAddress;
import hamper.display.HungLeg;
import hamper.display.PixelString;
import hamper.display.Section;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.resolve.Placement;
import hamper.value.Require;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a person says who stands at a string: that it is right.
 *
 * @param piece its id
 * @param by who stood there
 * @param fingerprint of what it was told, and of where it hung; the mark counts while both are so
 */
public record SeenRight(String piece, Instant at, String by, String fingerprint) {
  public SeenRight {
    Require.id("piece", piece);
    Require.name("by", by);
  }

  /** Whether it still counts. */
  public boolean holds(Map<String, String> fingerprints) {
    return fingerprint.equals(fingerprints.get(piece));
  }

  /** Of every string that hangs on a port, by its id. */
  public static Map<String, String> fingerprints(Facts facts) {
    Map<String, String> all = new TreeMap<>();
    for (ControllerFacts own : facts.controllers()) {
      for (RunFacts run : own.runs()) {
        for (HungLeg leg : run.run().legs()) {
          if (leg.at().piece() instanceof PixelString string) {
            all.put(string.id(), of(own, run, leg, string));
          }
        }
      }
    }
    return all;
  }

  /**
   * Written value by value: a mark outlives the program that set it, and the way in which its
   * records are told.
   */
  private static String of(ControllerFacts own, RunFacts run, HungLeg leg, PixelString string) {
    StringBuilder told = new StringBuilder();
    add(told, own.controller().id(), own.controller().model(), own.controller().protocol().name());
    add(told, own.controller().address().map(IpAddress::text).orElse(""));
    add(told, run.port().kind().name(), run.port().port(), leg.box(), leg.start());
    add(told, string.pixelType());
    for (Section section : string.sections()) {
      add(told, section.pixels(), section.nullPixels(), section.group());
      add(told, section.fold().orElse(0), section.backward());
      add(told, leg.at().orderOf(section).letters(), run.run().brightness(leg.at(), section));
    }
    for (Placement at : run.placements()) {
      if (at.leg() == leg.index()) {
        at.start().ifPresent(slot -> add(told, slot.universe(), slot.channel()));
        at.end().ifPresent(slot -> add(told, slot.universe(), slot.channel()));
        if (!own.controller().protocol().usesUniverses()) {
          at.controllerChannels().ifPresent(bytes -> add(told, bytes.start(), bytes.end()));
        }
      }
    }
    return digest(told.toString());
  }

  private static void add(StringBuilder told, Object... values) {
    for (Object value : values) {
      told.append(value).append('|');
    }
    told.append('\n');
  }

  private static String digest(String text) {
    try {
      byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
