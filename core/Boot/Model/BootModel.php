<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

/**
 * A machine starting: pure, total and deterministic (rule B; UEFI specification 2.10, sections 3.1, 3.5, 5.3 and 32).
 * What nobody knows is not guessed: {@see Possibilities} runs it for every value.
 */
final class BootModel
{
    /** @throws Undetermined at the first unknown fact that decides something */
    public static function start(BootState $state): Prediction
    {
        $facts = new Consulted($state);
        $lead = [new Stone('power', true, 'The machine gets power.')];
        $kind = $facts->get('firmware.kind');
        if ($kind === 'sealed') {
            return self::sealed($state, $facts, $lead);
        }
        $mode = $kind === 'bios' ? 'legacy' : (string) $facts->get('firmware.boot_mode');
        $lead[] = new Stone(
            'firmware',
            true,
            $kind === 'bios'
                ? 'The firmware starts the old way only.'
                : match ($mode) {
                    'legacy' => 'UEFI firmware, set to start the old way.',
                    'both' => 'UEFI firmware, set to start both ways.',
                    default => 'UEFI firmware.',
                },
            $kind === 'bios' ? Cause::LegacyOnly : null,
        );
        $failed = [];
        foreach (self::candidates($state) as [$title, $device, $entry]) {
            $attempt = (new Attempt($state, $facts))->of($device, $entry, $mode, [
                ...$lead,
                new Stone('choice', true, $title),
            ]);
            if ($attempt->outcome->distance() <= 2) {
                return self::concluded($attempt, $facts, $failed);
            }
            $failed[] = [$title, $attempt];
            if ($state->chosen !== null) {
                break;
            }
        }

        return self::nothing($failed, $facts, $lead);
    }

    /**
     * What the firmware tries: the one picked in the menu and nothing else, or every line in order.
     *
     * @return list<array{string, BootDevice, BootEntry|null}>
     */
    private static function candidates(BootState $state): array
    {
        $candidates = [];
        foreach ($state->chosen !== null ? [$state->chosen] : $state->order as $id) {
            $entry = $state->entry($id);
            $device = $state->device($entry->device ?? $id);
            if ($device !== null) {
                $how =
                    $state->chosen !== null
                        ? 'chosen in the one-time menu'
                        : ($candidates === []
                            ? 'first in the order'
                            : 'next in the order');
                $candidates[] = [($entry->title ?? $device->title).", {$how}.", $device, $entry];
            }
        }

        return $candidates;
    }

    /** @param  list<array{string, Attempt}>  $failed */
    private static function concluded(Attempt $attempt, Consulted $facts, array $failed): Prediction
    {
        return new Prediction(
            $attempt->outcome,
            $attempt->device,
            $attempt->stones,
            $attempt->ground,
            $facts->names(),
            self::passed($failed),
        );
    }

    /**
     * Nothing started: of everything that was tried, what came farthest is what is missing.
     *
     * @param  list<array{string, Attempt}>  $failed
     * @param  list<Stone>  $lead
     */
    private static function nothing(array $failed, Consulted $facts, array $lead): Prediction
    {
        if ($failed === []) {
            return new Prediction(
                Outcome::NoBootableDevice,
                null,
                [...$lead, new Stone('choice', false, 'Nothing is in the list to start from.')],
                Ground::Standard,
                $facts->names(),
            );
        }
        usort(
            $failed,
            static fn (array $a, array $b): int => $a[1]->outcome->distance() <=> $b[1]->outcome->distance(),
        );
        $best = $failed[0][1];

        return new Prediction(
            $best->outcome,
            $best->device,
            $best->stones,
            $best->ground,
            $facts->names(),
            self::passed(array_slice($failed, 1)),
        );
    }

    /**
     * @param  list<array{string, Attempt}>  $attempts
     * @return list<PassedEntry>
     */
    private static function passed(array $attempts): array
    {
        return array_map(
            static fn (array $one): PassedEntry => new PassedEntry(
                $one[0],
                $one[1]->outcome,
                $one[1]->stones[count($one[1]->stones) - 1]->words,
                $one[1]->stones[count($one[1]->stones) - 1]->cause,
            ),
            $attempts,
        );
    }

    /**
     * A sealed platform starts what is on its own drive, or waits for a helper on a cable.
     *
     * @param  list<Stone>  $lead
     */
    private static function sealed(BootState $state, Consulted $facts, array $lead): Prediction
    {
        $lead[] = new Stone('firmware', true, 'Sealed firmware: nothing in it can be set.');
        if (($state->facts['recovery.held'] ?? null) === 'yes') {
            return new Prediction(
                Outcome::RecoveryStarts,
                null,
                [...$lead, new Stone('choice', true, 'The sequence was held: it waits for the helper.')],
                Ground::Catalogue,
                $facts->names(),
            );
        }
        foreach ($state->devices as $device) {
            if ($device->kind === BootDevice::DRIVE && $device->attached) {
                $attempt = (new Attempt($state, $facts))->whatRuns(
                    $device,
                    [...$lead, new Stone('device', true, "{$device->title}.")],
                    Ground::Catalogue,
                );

                return new Prediction(
                    $attempt->outcome,
                    $device->id,
                    $attempt->stones,
                    $attempt->ground,
                    $facts->names(),
                );
            }
        }

        return new Prediction(
            Outcome::NoBootableDevice,
            null,
            [...$lead, new Stone('device', false, 'Its drive holds no system.', Cause::NoSystemOnDrive)],
            Ground::Catalogue,
            $facts->names(),
        );
    }
}
