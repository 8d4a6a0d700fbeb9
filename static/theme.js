// before anything is drawn, so that a dark screen does not flash; and when the system turns to dark or back
{
  const dark = matchMedia('(prefers-color-scheme: dark)');
  const show = () => {
    let chosen = null;
    try {
      chosen = localStorage.getItem('nerite-theme');
    } catch {
      // a browser that keeps nothing goes by the system
    }
    document.documentElement.dataset.theme = chosen ?? (dark.matches ? 'dark' : 'light');
  };
  show();
  dark.addEventListener('change', show);
}
