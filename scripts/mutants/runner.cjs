/**
 * Runs the test files that the parent process names, each with one fault awake, as long as it names some:
 * one process of Jest for many faults. Answers each question with whether all of its files passed.
 */
const TestRunner = require('jest-runner').default;

class FaultRunner {
  supportsEventEmitters = true;
  isSerial = true;

  constructor(globalConfig, context) {
    this.globalConfig = globalConfig;
    this.context = context;
  }

  on() {
    return () => {};
  }

  async passes(test) {
    const runner = new TestRunner(this.globalConfig, this.context);
    let passed = false;
    runner.on('test-file-success', ([, result]) => {
      passed = result.numFailingTests === 0 && !result.testExecError;
    });
    const watcher = { isInterrupted: () => false, isWatchMode: () => false };
    await runner.runTests([test], watcher, { serial: true });
    return passed;
  }

  async runTests(tests) {
    const known = new Map(tests.map((test) => [test.path, test]));
    await new Promise((end) => {
      process.on('message', async (question) => {
        if (question === 'end') return end();
        process.env.WAFFENRAD_FAULT = String(question.number);
        let passed = true;
        for (const path of question.tests) {
          if (passed) passed = await this.passes(known.get(path));
          process.send({ alive: true });
        }
        process.send({ passed });
      });
      process.send({ ready: true });
    });
    process.exit(0);
  }
}

module.exports = FaultRunner;
