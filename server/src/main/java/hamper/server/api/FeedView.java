package hamper.server.api;

import hamper.catalog.Gauge;
import hamper.display.Cable;
import hamper.display.Supply;
import hamper.load.FeedLoad;
import java.util.Optional;

/**
 * A feed of a run and what flows through it.
 *
 * @param piece the string it is soldered to; left out for the port's own
 * @param index among the feeds of that leg
 * @param bank of the remote box behind a socket
 * @param input the power input behind a socket, or its place in the chain of boxes
 * @param supply its id, where it is known
 * @param volts of the supply; as the string wants it where no supply is known (V)
 * @param position in the run, gaps and null pixels counted, from 1
 * @param leadMetres of its lead (m), 0 where nobody knows
 * @param fuseAmps (A)
 * @param amps at planned brightness (A)
 * @param fullAmps at 100 % (A)
 */
public record FeedView(
    Optional<String> piece,
    Optional<Integer> index,
    Optional<Integer> bank,
    Optional<Integer> input,
    Optional<String> supply,
    double volts,
    int position,
    double leadMetres,
    Cable.Origin leadOrigin,
    Gauge gauge,
    Optional<Double> fuseAmps,
    double amps,
    double fullAmps) {
  static FeedView of(FeedLoad load) {
    return new FeedView(
        load.at().map(FeedLoad.FeedRef::piece),
        load.at().map(FeedLoad.FeedRef::index),
        load.input().flatMap(input -> input.bank()),
        load.input().map(input -> input.input()),
        load.supply().map(Supply::id),
        load.volts(),
        load.position(),
        load.lead().metres(),
        load.lead().origin(),
        load.gauge(),
        load.fuseAmps(),
        load.amps(),
        load.fullAmps());
  }
}
