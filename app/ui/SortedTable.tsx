import { Table, type TableProps } from "antd";
import "./sortedTable.css";

/** A table of things of one kind that one would sort: every column with a `sorter` sorts by its head. */
export function SortedTable<Row extends object>(props: TableProps<Row>) {
  return (
    <div className="sorted-table">
      <Table<Row> size="small" pagination={false} showSorterTooltip={false} {...props} />
    </div>
  );
}
