package hamper.server.cli;

import hamper.config.Configuration;
import hamper.config.SendLine;
import hamper.config.SendList;
import hamper.facts.Facts;
import hamper.files.ConfigurationFiles;
import hamper.files.UnitFiles;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code hamper configure}: a document for each controller, and the send list. */
@Command(
    name = "configure",
    mixinStandardHelpOptions = true,
    description = "Write a configuration document for each controller and unit, and the send list.")
public final class ConfigureCommand implements Callable<Integer> {
  @Mixin private InputFile input;

  @Option(
      names = "--out",
      required = true,
      paramLabel = "DIR",
      description = "the folder to write to; made where it is missing")
  private Path out;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Facts facts = input.read();
    OutputFile.makeFolder(out);
    PrintWriter told = spec.commandLine().getOut();
    Map<String, String> names = ConfigurationFiles.fileNames(facts.configurations());
    for (Configuration configuration : facts.configurations()) {
      write(told, names.get(configuration.controller()), ConfigurationFiles.json(configuration));
      configuration
          .untold()
          .forEach(
              untold ->
                  spec.commandLine()
                      .getErr()
                      .println(
                          "%s cannot be told: %s"
                              .formatted(
                                  untold
                                      .port()
                                      .map(facts.plan()::written)
                                      .orElse(configuration.tag()),
                                  untold.what())));
    }
    for (var unit : UnitFiles.all(facts.plan()).entrySet()) {
      write(told, UnitFiles.fileName(facts.plan(), unit.getKey()), unit.getValue());
    }
    List<SendLine> lines = SendList.of(facts.plan(), facts.resolution());
    String name = facts.plan().display().name();
    write(told, "send-list.json", ConfigurationFiles.sendListJson(name, lines));
    write(told, "send-list.csv", ConfigurationFiles.sendListCsv(lines));
    told.flush();
    return facts.untold().isEmpty() ? 0 : 1;
  }

  private void write(PrintWriter told, String name, String content) throws IOException {
    Path file = out.resolve(name);
    OutputFile.write(file, ConfigurationFiles.bytes(content));
    told.println(file);
  }
}
