package hamper.server.crew;

import hamper.server.crew.Certificates.Signed;
import hamper.server.store.DoorFiles;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.security.PrivateKey;
import java.security.cert.Certificate;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Hamper's own authority, which says that the door is the door: made once, kept in the data folder,
 * and trusted by phones on which it was installed by hand. Here it is kept; how certificates are
 * written stands in {@link Certificates}, which is not loaded before a door wants one.
 */
@Component
final class Authority {
  private static final String FILE = "authority.p12";
  private static final String ALIAS = "authority";
  private static final String DOOR = "door";

  /** The file is kept from others by its permissions; the format wants a word all the same. */
  private static final char[] WORD = "hamper".toCharArray();

  private final DoorFiles files;

  Authority(DoorFiles files) {
    this.files = files;
  }

  /** The certificate that phones are to trust, as DER; made where there is none yet. */
  synchronized byte[] certificate() throws IOException, GeneralSecurityException {
    return authority().certificate().getEncoded();
  }

  /** SHA-256 of a certificate, as phones show it: pairs of digits with colons. */
  static String fingerprint(byte[] der) throws GeneralSecurityException {
    return HexFormat.ofDelimiter(":")
        .withUpperCase()
        .formatHex(MessageDigest.getInstance("SHA-256").digest(der));
  }

  /** What a door at an address needs to be believed: its own key, and who vouches for it. */
  synchronized KeyStore forDoor(String address) throws IOException, GeneralSecurityException {
    Signed authority = authority();
    Signed door = Certificates.door(address, authority);
    KeyStore store = empty();
    store.setKeyEntry(
        DOOR, door.key(), WORD, new Certificate[] {door.certificate(), authority.certificate()});
    return store;
  }

  /** The word of key stores that are made here. */
  static String word() {
    return new String(WORD);
  }

  private Signed authority() throws IOException, GeneralSecurityException {
    Optional<byte[]> kept = files.find(FILE);
    if (kept.isPresent()) {
      KeyStore store = KeyStore.getInstance("PKCS12");
      store.load(new ByteArrayInputStream(kept.get()), WORD);
      X509Certificate certificate = (X509Certificate) store.getCertificate(ALIAS);
      Instant end = certificate.getNotAfter().toInstant();
      if (Instant.now().plus(Certificates.DOOR_LASTS).isBefore(end)) {
        return new Signed((PrivateKey) store.getKey(ALIAS, WORD), certificate);
      }
    }
    return made();
  }

  private Signed made() throws IOException, GeneralSecurityException {
    Signed made = Certificates.authority();
    KeyStore store = empty();
    store.setKeyEntry(ALIAS, made.key(), WORD, new Certificate[] {made.certificate()});
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    store.store(out, WORD);
    files.keep(FILE, out.toByteArray());
    return made;
  }

  private static KeyStore empty() throws IOException, GeneralSecurityException {
    KeyStore store = KeyStore.getInstance("PKCS12");
    store.load(null, WORD);
    return store;
  }

  /** Whether the authority may speak for an address. */
  static boolean mayVouchFor(InetAddress address) {
    return address.isSiteLocalAddress()
        || address.isLinkLocalAddress()
        || address.isLoopbackAddress();
  }
}
