import { useEffect, useState } from 'react';
import { notify, openBench, readBenchLink, type KeptPass } from '@/stores';
import { Button, Sheet, Text } from '@/ui';

const forget = (): void => history.replaceState(history.state, '', location.pathname + location.search);

/** A bench that came by link: asked about before it takes the place of this one. */
export function BenchFromLink() {
  const [kept, setKept] = useState<KeptPass | null>(null);
  useEffect(() => {
    const look = (): void =>
      void readBenchLink(location.hash).then((read) => {
        if (!read) return;
        forget();
        if (read.ok) setKept(read.value);
        else notify(read.problem);
      });
    look();
    window.addEventListener('hashchange', look);
    return () => window.removeEventListener('hashchange', look);
  }, []);
  const close = (): void => setKept(null);
  return (
    <Sheet title="Open this bench?" open={kept !== null} onClose={close}>
      <Text>
        The link brings a water, a boat and settings. They would take the place of what is on your bench now.
        Your plan and your boats stay as they are.
      </Text>
      <Button
        tone="main"
        label="Open it"
        onPress={() => {
          if (kept) openBench(kept);
          close();
        }}
        testID="open-linked"
      />
      <Button label="Leave my bench as it is" onPress={close} />
    </Sheet>
  );
}
