import { Button, Layout, Table } from "antd";

/** The yardstick: the same stack with one button, one table and a layout, and nothing else. */
export default function Home() {
  return (
    <Layout>
      <Layout.Content>
        <Button type="primary">A button</Button>
        <Table columns={[{ title: "Name", dataIndex: "name" }]} dataSource={[{ key: 1, name: "A row" }]} />
      </Layout.Content>
    </Layout>
  );
}
