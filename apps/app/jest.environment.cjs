const JsdomEnvironment = require('jest-environment-jsdom').default;

/** Tests end though tabs may still have something to tell each other. */
class TestChannel extends BroadcastChannel {
  constructor(name) {
    super(name);
    this.unref();
  }
}

/** A browser's page, with what every browser has and jsdom lacks taken from Node. */
module.exports = class extends JsdomEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, {
      AbortController,
      AbortSignal,
      BroadcastChannel: TestChannel,
      structuredClone,
    });
    // Tamagui's style sheet is younger than jsdom's parser; no test looks at its colours.
    const { virtualConsole } = this.dom;
    const told = virtualConsole.listeners('jsdomError');
    virtualConsole.removeAllListeners('jsdomError');
    virtualConsole.on('jsdomError', (error) => {
      if (!error.message.includes('CSS')) told.forEach((tell) => tell(error));
    });
  }
};
