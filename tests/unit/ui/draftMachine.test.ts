import assert from 'node:assert/strict';
import { describe, it, mock } from 'node:test';
import fc from 'fast-check';
import { StoreError } from '@/device/failure';
import { DraftMachine, type Source } from '@/ui/editing/draftMachine';
import { retrySaving, unsavedWork } from '@/ui/editing/saving';

/** A store of one text with a number that goes up by each save; every save ends when it is told to. */
function storeOf(name: string, more: Partial<Source<string, number>> = {}) {
  const store = { text: 'delta', rev: 1 };
  const saved: string[] = [];
  const waiting: { end: () => void; fail: (error: Error) => void }[] = [];
  const source = (): Source<string, number> => ({
    name,
    stored: store.text,
    token: store.rev,
    reached: (now, then) => now >= then,
    save: (text, base) =>
      new Promise((resolve, reject) => {
        waiting.push({
          end: () => {
            if (base !== store.rev)
              return resolve({ ok: false, theirs: { value: store.text, token: store.rev } });
            store.text = text;
            store.rev += 1;
            saved.push(text);
            resolve({ ok: true, token: store.rev });
          },
          fail: reject,
        });
      }),
    ...more,
  });
  const machine = new DraftMachine<string, number>(source, () => undefined);
  const settled = async () => {
    for (let turn = 0; turn < 10; turn++) await Promise.resolve();
  };
  const end = async () => {
    waiting.shift()?.end();
    await settled();
    machine.follow();
  };
  const fail = async (error: Error) => {
    waiting.shift()?.fail(error);
    await settled();
  };
  return { store, saved, waiting, machine, end, fail, settled };
}

describe('a draft', () => {
  it('saves at once, and what was written meanwhile afterwards, the newest last', async () => {
    const { machine, saved, end, waiting } = storeOf('one');
    machine.edit('delta a');
    machine.edit('delta ar');
    machine.edit('delta arm');
    assert.equal(waiting.length, 1);
    assert.equal(machine.value, 'delta arm');
    await end();
    await end();
    assert.deepEqual(saved, ['delta a', 'delta arm']);
    assert.equal(unsavedWork().get('one'), undefined);
    assert.equal(machine.value, 'delta arm');
  });

  it('keeps what could not be saved, for a field that comes back as well, and tries again', async () => {
    const { machine, saved, end, fail } = storeOf('two');
    machine.edit('a bar');
    await fail(new StoreError('full', 'no room'));
    assert.equal(machine.value, 'a bar');
    assert.equal(unsavedWork().get('two'), 'a bar');
    const again = storeOf('two');
    assert.equal(again.machine.value, 'a bar');
    machine.appear();
    retrySaving();
    await end();
    assert.deepEqual(saved, ['a bar']);
    assert.equal(unsavedWork().get('two'), undefined);
  });

  for (const choice of ['mine', 'theirs'] as const)
    it(`lets the teacher choose where another tab was faster: ${choice}`, async () => {
      const { machine, store, end, waiting } = storeOf(`three ${choice}`);
      machine.edit('an oxbow lake');
      store.text = 'a meander';
      store.rev = 2;
      await end();
      assert.deepEqual(machine.conflict, { theirs: 'a meander' });
      assert.equal(machine.value, 'an oxbow lake');
      machine.edit('an oxbow lake here');
      assert.equal(waiting.length, 0, 'nothing is saved before it is settled');
      if (choice === 'mine') {
        machine.keepMine();
        await end();
      } else machine.takeTheirs();
      assert.equal(machine.conflict, null);
      assert.equal(store.text, choice === 'mine' ? 'an oxbow lake here' : 'a meander');
      assert.equal(machine.value, store.text);
    });

  it('stores anew what another tab deleted, where that can be', async () => {
    const restored: string[] = [];
    const { machine, settled } = storeOf('four', {
      save: () => Promise.resolve({ ok: false, theirs: null }),
      restore: (text) => Promise.resolve(restored.push(text)),
    });
    machine.edit('a levee');
    await settled();
    assert.deepEqual(machine.conflict, { theirs: null });
    machine.keepMine();
    await settled();
    assert.deepEqual(restored, ['a levee']);
    assert.equal(unsavedWork().get('four'), undefined);
  });

  it('leaves what is typed as it is where it is stored a little otherwise, and follows another text', async () => {
    const { machine, store, end } = storeOf('five', { normal: (text) => text.trim() });
    machine.edit('gorge ');
    await end();
    store.text = 'gorge';
    store.rev += 1;
    machine.follow();
    assert.equal(machine.value, 'gorge ');
    store.text = 'canyon';
    machine.follow();
    assert.equal(machine.value, 'canyon');
  });

  it('follows the store again where what was saved never comes back', async () => {
    mock.timers.enable({ apis: ['setTimeout'] });
    try {
      const { machine, settled } = storeOf('six', {
        save: () => Promise.resolve({ ok: true, token: 99 }),
        patience: 5000,
      });
      machine.edit('');
      await settled();
      assert.equal(machine.value, '');
      mock.timers.tick(5000);
      assert.equal(machine.value, 'delta');
    } finally {
      mock.timers.reset();
    }
  });

  it('ends with the last edit stored, however saves go', async () => {
    const step = fc.oneof(
      fc.record({ do: fc.constant('edit' as const), text: fc.string() }),
      fc.record({ do: fc.constantFrom('end' as const, 'fail' as const, 'again' as const) }),
    );
    let at = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 30 }), async (steps) => {
        const name = `law ${at++}`;
        const { machine, store, end, fail, waiting } = storeOf(name);
        let last = store.text;
        for (const one of steps) {
          if (one.do === 'edit') machine.edit((last = one.text));
          else if (one.do === 'end') await end();
          else if (one.do === 'fail') await fail(new StoreError('full', 'no room'));
          else machine.flush();
          assert.equal(machine.value, last);
        }
        machine.flush();
        while (waiting.length > 0) await end();
        assert.equal(store.text, last);
        assert.equal(machine.value, last);
        assert.equal(unsavedWork().has(name), false);
      }),
    );
  });
});
