import { Table, type TableProps } from "antd";
import "./sortedTable.css";

/** A table of things of one kind that one would sort: every column with a `sorter` sorts by its head. */
export function SortedTable<Row extends object>(props: TableProps<Row>) {
  return (
    <Table<Row>
      className="sorted-table"
      size="small"
      pagination={false}
      scroll={{ x: "max-content" }}
      showSorterTooltip={false}
      {...props}
    />
  );
}
