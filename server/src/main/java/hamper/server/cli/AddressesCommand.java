package hamper.server.cli;

import hamper.facts.Facts;
import hamper.files.AddressFiles;
import hamper.files.AddressTable;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code hamper addresses}: every section with its addresses. */
@Command(
    name = "addresses",
    mixinStandardHelpOptions = true,
    description = "List every section, circuit and fixture with its addresses, and the overlaps.")
public final class AddressesCommand implements Callable<Integer> {
  enum Format {
    CSV,
    JSON
  }

  @Mixin private InputFile input;

  @Option(names = "--format", description = "csv or json (default: csv)")
  private Format format = Format.CSV;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Facts facts = input.read();
    AddressTable table = AddressTable.of(facts.plan(), facts.resolution());
    PrintWriter out = spec.commandLine().getOut();
    out.print(format == Format.JSON ? AddressFiles.json(table) : AddressFiles.csv(table));
    out.flush();
    return 0;
  }
}
