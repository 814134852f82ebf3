/** A narrow band at the top of the page, which nobody else sees. */
export const BAND = `
:host {
  all: initial !important;
  position: fixed !important;
  top: 8px !important;
  left: 50% !important;
  transform: translateX(-50%) !important;
  z-index: 2147483647 !important;
  display: flex !important;
  gap: 12px !important;
  align-items: center !important;
  max-width: calc(100% - 32px) !important;
  box-sizing: border-box !important;
  padding: 6px 8px 6px 14px !important;
  border-radius: 10px !important;
  border: 1.5px solid #26322d !important;
  background: #fffdf7 !important;
  color: #26322d !important;
  font: 500 14px/1.4 system-ui, sans-serif !important;
}
button {
  white-space: nowrap;
  font: inherit;
  font-weight: 700;
  color: #1f5b4a;
  background: none;
  border: 0;
  padding: 4px 8px;
  min-height: 32px;
  cursor: pointer;
  text-decoration: underline;
}
button:focus-visible {
  outline: 2px solid #1f5b4a;
}
button[hidden] {
  display: none;
}
`;
