<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\InstallerOption;
use Cobblestone\Catalogue\InstallerScreen;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/**
 * The pages of an installer up to the drive: what is picked on each for this job, and what happens if one picks
 * another (rules F9, I2, A8).
 */
final readonly class InstallerPages
{
    private const TAKES_ALL = 'stop: this page offers only the whole drive';

    /**
     * @param  string  $licence  how it is licensed; empty where nobody has said
     * @param  string|null  $edition  that was wished for
     * @param  Drive|null  $target  null while it is not known
     * @param  bool  $live  whether the system runs from the stick already
     */
    public function __construct(
        private SystemProfile $system,
        private string $licence,
        private ?string $edition,
        private ?Drive $target,
        private ?Keeping $keeping = null,
        private bool $live = false,
    ) {
    }

    public function step(): ?Step
    {
        if ($this->system->screens === []) {
            return null;
        }

        return new Step(
            'install.pages',
            Stage::Target,
            'Go through the installer\'s pages',
            Presence::Hands,
            Estimate::minutes(1, 2, 6),
            ['Pick on each page what stands here; stop before the page on which the drive is erased.'],
            before: [$this->live ? PathFact::TRIED_LIVE : PathFact::MEDIUM_STARTED],
            after: [PathFact::PAGES_ANSWERED],
            needs: ['hands'],
            acts: [Act::WriteSystem],
            because: [
                new Reason('These are the pages of this installer, in order.', 'I2', $this->system->dated()),
            ],
            rows: $this->rows(),
        );
    }

    /** @return list<array<string, string>> */
    public function rows(): array
    {
        return array_map(function (InstallerScreen $screen): array {
            [$pick, $because] = $this->pick($screen);

            return [
                'page' => $screen->title,
                'pick' => $pick,
                'because' => $because,
                'if one picks another' => self::others($screen, $pick),
            ];
        }, $this->system->screens);
    }

    /** @return array{string, string} what is picked, and why */
    private function pick(InstallerScreen $screen): array
    {
        return match ($screen->about) {
            'start' => $this->live
                ? ['the installer on its desktop', 'it was tried live: it runs already']
                : [self::doing($screen, 'install'), 'the installer itself'],
            'purpose' => $this->stays()
                ? [self::found($screen, 'by-hand', 'go-on') ?? self::TAKES_ALL, 'something on the drive stays']
                : [self::doing($screen, 'erase', 'go-on'), 'the whole drive is laid out anew'],
            'key' => match ($this->licence) {
                'firmware-key' => ['it does not appear', 'the key in the firmware is read by itself'],
                'retail' => [self::doing($screen, 'type'), 'the owner\'s key is for this edition'],
                'entitlement' => [self::doing($screen, 'skip'), 'the licence comes with machine or account'],
                'none', 'unclear' => [self::doing($screen, 'skip'), 'the licence is due later'],
                default => [self::doing($screen, 'skip'), 'nobody has said how it is licensed; it can follow later'],
            },
            'edition' => match (true) {
                $this->licence === 'firmware-key' => [
                    'it does not appear',
                    'the key in the firmware picks the edition',
                ],
                $this->edition === null => ['ask the owner which edition', 'nobody has said'],
                default => [$this->edition, 'wished for on this job'],
            },
            'drive' => [$this->drive(), 'found by size and serial at the next stone'],
            default => [$screen->options[0]->words ?? 'go on', 'as it proposes'],
        };
    }

    /** Whether this installer offers no way around the whole drive although something on it stays. */
    public function takesAll(): bool
    {
        foreach ($this->stays() ? $this->system->screens : [] as $screen) {
            if ($screen->about === 'purpose' && self::found($screen, 'by-hand', 'go-on') === null) {
                return true;
            }
        }

        return false;
    }

    private function stays(): bool
    {
        return $this->keeping !== null;
    }

    private function drive(): string
    {
        return match (true) {
            $this->target === null => 'stop: which drive is not known yet',
            $this->keeping !== null => "the free room of {$this->keeping->free->decimal()} on it, "
                .'once it is made; never the drive itself',
            default => "the drive of {$this->target->size->decimal()}, or {$this->target->size->binary()}",
        };
    }

    private static function doing(InstallerScreen $screen, string ...$does): string
    {
        return self::found($screen, ...$does) ?? $screen->options[0]->words ?? 'go on';
    }

    /** The first option that comes to one of these, the first of them first. */
    private static function found(InstallerScreen $screen, string ...$does): ?string
    {
        foreach ($does as $wanted) {
            foreach ($screen->options as $option) {
                if ($option->does === $wanted) {
                    return $option->words;
                }
            }
        }

        return null;
    }

    private static function others(InstallerScreen $screen, string $pick): string
    {
        return implode(' ', array_map(
            static fn (InstallerOption $option): string => "{$option->words}: {$option->then}",
            array_filter($screen->options, static fn (InstallerOption $option): bool => $option->words !== $pick),
        ));
    }
}
