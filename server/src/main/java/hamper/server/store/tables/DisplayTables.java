package hamper.server.store.tables;

import java.util.List;

/** All tables of a display. Parents before children. */
final class DisplayTables {
  static final List<Table> ALL =
      List.of(
          OwnModelTable.TABLE,
          OwnPixelTypeTable.TABLE,
          SubnetTable.TABLE,
          ZoneTable.TABLE,
          MainsTable.TABLE,
          EnclosureTable.TABLE,
          LinkTable.TABLE,
          SupplyTable.TABLE,
          PropTable.TABLE,
          PieceTable.TABLE,
          SectionTable.TABLE,
          ControllerTable.TABLE,
          InputTable.TABLE,
          AdapterTable.TABLE,
          CableTable.TABLE,
          PoweredInputTable.TABLE,
          RunTable.TABLE,
          LegTable.TABLE,
          FeedTable.TABLE,
          AcceptedTable.TABLE,
          StockTable.TABLE,
          TagTable.TABLE);

  private DisplayTables() {}
}
