import './tests/core/document/nasty.test';
