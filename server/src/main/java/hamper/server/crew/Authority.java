package hamper.server.crew;

import hamper.server.store.DoorFiles;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigInteger;
import java.net.InetAddress;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.security.PrivateKey;
import java.security.SecureRandom;
import java.security.cert.Certificate;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Date;
import java.util.HexFormat;
import java.util.Optional;
import java.util.stream.Stream;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.ExtendedKeyUsage;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.asn1.x509.GeneralSubtree;
import org.bouncycastle.asn1.x509.KeyPurposeId;
import org.bouncycastle.asn1.x509.KeyUsage;
import org.bouncycastle.asn1.x509.NameConstraints;
import org.bouncycastle.cert.X509v3CertificateBuilder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509ExtensionUtils;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import org.springframework.stereotype.Component;

/**
 * Hamper's own authority, which says that the door is the door: made once, kept in the data folder,
 * and trusted by phones on which it was installed by hand. It can speak for addresses of private
 * networks only, so that a phone that trusts it risks no more than that.
 */
@Component
final class Authority {
  private static final String FILE = "authority.p12";
  private static final String ALIAS = "authority";
  private static final String DOOR = "door";

  /** The file is kept from others by its permissions; the format wants a word all the same. */
  private static final char[] WORD = "hamper".toCharArray();

  private static final Duration AUTHORITY_LASTS = Duration.ofDays(3650);

  /** Browsers take no certificate of a server that lasts longer than 398 days. */
  private static final Duration DOOR_LASTS = Duration.ofDays(397);

  private static final Duration CLOCKS_DIFFER = Duration.ofDays(1);
  private static final String SIGNING = "SHA256withECDSA";
  private static final int SERIAL_BITS = 127;

  /** Networks that are nobody's own (RFC 1918, RFC 3927, loopback). */
  private static final String[] PRIVATE = {
    "10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16", "169.254.0.0/16", "127.0.0.0/8"
  };

  private final DoorFiles files;
  private final SecureRandom random = new SecureRandom();

  Authority(DoorFiles files) {
    this.files = files;
  }

  /** A certificate with its key. */
  private record Signed(PrivateKey key, X509Certificate certificate) {}

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
    KeyPair pair = pair();
    X509v3CertificateBuilder builder =
        builder("CN=Hamper crew door " + address, pair, Optional.of(authority), DOOR_LASTS);
    try {
      builder.addExtension(
          Extension.subjectAlternativeName,
          false,
          new GeneralNames(new GeneralName(GeneralName.iPAddress, address)));
      builder.addExtension(
          Extension.extendedKeyUsage, false, new ExtendedKeyUsage(KeyPurposeId.id_kp_serverAuth));
      builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(false));
      builder.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.digitalSignature));
      builder.addExtension(
          Extension.authorityKeyIdentifier,
          false,
          new JcaX509ExtensionUtils().createAuthorityKeyIdentifier(authority.certificate()));
      X509Certificate door = sign(builder, authority.key());
      KeyStore store = empty();
      store.setKeyEntry(
          DOOR, pair.getPrivate(), WORD, new Certificate[] {door, authority.certificate()});
      return store;
    } catch (OperatorCreationException e) {
      throw new GeneralSecurityException(e);
    }
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
      if (Instant.now().plus(DOOR_LASTS).isBefore(end)) {
        return new Signed((PrivateKey) store.getKey(ALIAS, WORD), certificate);
      }
    }
    return made();
  }

  private Signed made() throws IOException, GeneralSecurityException {
    KeyPair pair = pair();
    byte[] mark = new byte[3];
    random.nextBytes(mark);
    String name = "CN=Hamper on this computer " + HexFormat.of().formatHex(mark);
    X509v3CertificateBuilder builder = builder(name, pair, Optional.empty(), AUTHORITY_LASTS);
    try {
      builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(0));
      builder.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.keyCertSign));
      builder.addExtension(Extension.nameConstraints, true, privateOnly());
      builder.addExtension(
          Extension.subjectKeyIdentifier,
          false,
          new JcaX509ExtensionUtils().createSubjectKeyIdentifier(pair.getPublic()));
      Signed made = new Signed(pair.getPrivate(), sign(builder, pair.getPrivate()));
      KeyStore store = empty();
      store.setKeyEntry(ALIAS, made.key(), WORD, new Certificate[] {made.certificate()});
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      store.store(out, WORD);
      files.keep(FILE, out.toByteArray());
      return made;
    } catch (OperatorCreationException e) {
      throw new GeneralSecurityException(e);
    }
  }

  /** Addresses of private networks, and of names none that anybody has. */
  private static NameConstraints privateOnly() {
    GeneralSubtree[] permitted =
        Stream.concat(
                Arrays.stream(PRIVATE)
                    .map(network -> new GeneralName(GeneralName.iPAddress, network)),
                Stream.of(new GeneralName(GeneralName.dNSName, "hamper.invalid")))
            .map(GeneralSubtree::new)
            .toArray(GeneralSubtree[]::new);
    return new NameConstraints(permitted, null);
  }

  private X509v3CertificateBuilder builder(
      String name, KeyPair pair, Optional<Signed> issuer, Duration lasts) {
    Instant now = Instant.now();
    X500Name subject = new X500Name(name);
    return new JcaX509v3CertificateBuilder(
        issuer
            .map(
                one ->
                    X500Name.getInstance(one.certificate().getSubjectX500Principal().getEncoded()))
            .orElse(subject),
        new BigInteger(SERIAL_BITS, random),
        Date.from(now.minus(CLOCKS_DIFFER)),
        Date.from(now.minus(CLOCKS_DIFFER).plus(lasts)),
        subject,
        pair.getPublic());
  }

  private static X509Certificate sign(X509v3CertificateBuilder builder, PrivateKey key)
      throws GeneralSecurityException, OperatorCreationException {
    return new JcaX509CertificateConverter()
        .getCertificate(builder.build(new JcaContentSignerBuilder(SIGNING).build(key)));
  }

  private static KeyPair pair() throws GeneralSecurityException {
    KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
    generator.initialize(new ECGenParameterSpec("secp256r1"));
    return generator.generateKeyPair();
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
