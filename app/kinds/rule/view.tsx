export const View = () => <hr />;
