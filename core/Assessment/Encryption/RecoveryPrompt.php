<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Encryption;

/** What to do when a machine asks for its recovery key (rule A7). */
final class RecoveryPrompt
{
    /**
     * In this order.
     *
     * @param  list<Trigger>  $changed  what was changed since the last good start
     * @param  bool  $wipeAgreed  whether erasing is agreed and the backup proven or waived
     * @return list<string>
     */
    public static function advice(array $changed, bool $wipeAgreed): array
    {
        $back = array_filter($changed, static fn (Trigger $trigger): bool => $trigger->canBePutBack());
        $lines = [];
        if ($back !== []) {
            $lines[] =
                'Put back first what was changed ('.
                implode(
                    ', ',
                    array_map(static fn (Trigger $trigger): string => $trigger->title(), array_values($back)),
                ).
                ') and start again: often the prompt is gone.';
        }
        if ($changed !== [] && count($back) < count($changed)) {
            $lines[] = 'An updated firmware cannot be put back for this.';
        }
        $lines[] =
            'Otherwise the owner types the recovery key; compare the key\'s name on the screen with the one on the '
                .'record first.';
        if ($wipeAgreed) {
            $lines[] =
                'Wiping is agreed: power off and choose the stick in the one-time menu. Nothing has to be decrypted.';
        }
        $lines[] = 'Never accept an offer to clear the security chip while a volume depends on it.';

        return $lines;
    }
}
