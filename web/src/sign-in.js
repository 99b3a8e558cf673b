// A code that came with the address goes into its field and out of the address.
function takeCode() {
  const code = /^#(\d{8})$/.exec(location.hash)?.[1];
  const field = document.getElementById('code');
  if (!code || !field) return;
  field.value = code.replace(/(\d{4})(\d{4})/, '$1 $2');
  history.replaceState(null, '', location.pathname);
  document.getElementById('pair-device')?.focus();
}
takeCode();
addEventListener('hashchange', takeCode);
