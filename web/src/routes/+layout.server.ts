export const load = ({ cookies }) => ({ dark: cookies.get('theme') === 'dark' });
