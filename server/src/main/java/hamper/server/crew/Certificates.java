package hamper.server.crew;

import java.math.BigInteger;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.PrivateKey;
import java.security.SecureRandom;
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
import org.bouncycastle.cert.CertIOException;
import org.bouncycastle.cert.X509v3CertificateBuilder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509ExtensionUtils;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;

/**
 * How certificates of the crew door are written. The authority's can speak for addresses of private
 * networks only, so that a phone that trusts it risks no more than that.
 *
 * <p>No bean: Spring reads what its beans are made of at each start, and the library behind this is
 * signed, which takes a tenth of a start to check.
 */
final class Certificates {
  private static final Duration AUTHORITY_LASTS = Duration.ofDays(3650);

  /** Browsers take no certificate of a server that lasts longer than 398 days. */
  static final Duration DOOR_LASTS = Duration.ofDays(397);

  private static final Duration CLOCKS_DIFFER = Duration.ofDays(1);
  private static final String SIGNING = "SHA256withECDSA";
  private static final int SERIAL_BITS = 127;

  /** Networks that are nobody's own (RFC 1918, RFC 3927, loopback). */
  private static final String[] PRIVATE = {
    "10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16", "169.254.0.0/16", "127.0.0.0/8"
  };

  private static final SecureRandom RANDOM = new SecureRandom();

  private Certificates() {}

  /** A certificate with its key. */
  record Signed(PrivateKey key, X509Certificate certificate) {}

  /** An authority that vouches for itself, with a name that is its own. */
  static Signed authority() throws GeneralSecurityException {
    KeyPair pair = pair();
    byte[] mark = new byte[3];
    RANDOM.nextBytes(mark);
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
      return signed(builder, pair, pair.getPrivate());
    } catch (CertIOException | OperatorCreationException e) {
      throw new GeneralSecurityException(e);
    }
  }

  /** A door at an address, for which an authority vouches. */
  static Signed door(String address, Signed authority) throws GeneralSecurityException {
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
      return signed(builder, pair, authority.key());
    } catch (CertIOException | OperatorCreationException e) {
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

  private static X509v3CertificateBuilder builder(
      String name, KeyPair pair, Optional<Signed> issuer, Duration lasts) {
    Instant now = Instant.now();
    X500Name subject = new X500Name(name);
    return new JcaX509v3CertificateBuilder(
        issuer
            .map(
                one ->
                    X500Name.getInstance(one.certificate().getSubjectX500Principal().getEncoded()))
            .orElse(subject),
        new BigInteger(SERIAL_BITS, RANDOM),
        Date.from(now.minus(CLOCKS_DIFFER)),
        Date.from(now.minus(CLOCKS_DIFFER).plus(lasts)),
        subject,
        pair.getPublic());
  }

  private static Signed signed(X509v3CertificateBuilder builder, KeyPair pair, PrivateKey by)
      throws GeneralSecurityException, OperatorCreationException {
    X509Certificate certificate =
        new JcaX509CertificateConverter()
            .getCertificate(builder.build(new JcaContentSignerBuilder(SIGNING).build(by)));
    return new Signed(pair.getPrivate(), certificate);
  }

  private static KeyPair pair() throws GeneralSecurityException {
    KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
    generator.initialize(new ECGenParameterSpec("secp256r1"));
    return generator.generateKeyPair();
  }
}
