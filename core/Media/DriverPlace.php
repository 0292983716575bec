<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Stick;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Decision;
use Cobblestone\Text\Counted;

/** Where the drivers travel: a folder of their own on the same stick, or a second stick (rule M8). */
final readonly class DriverPlace
{
    /** @param  string|null  $second  what travels beside the installer's stick; null: the drivers go along on it */
    private function __construct(
        public ?Decision $decision,
        public ?string $second,
        public ?Stick $stick = null,
    ) {
    }

    /** The second stick as the workshop makes it; null where there is none. */
    public function wanted(): ?WantedFiles
    {
        return $this->second === null ? null : WantedFiles::drivers($this->stick);
    }

    public static function none(): self
    {
        return new self(null, null);
    }

    public static function sameStick(int $packages): self
    {
        return new self(
            new Decision(
                'media.drivers',
                'Where the drivers travel',
                'the same stick, in a folder of their own',
                ['Files are copied, and the drivers fit beside them.'],
                ['a second stick' => ['One stick is less to lose and to plug in.']],
                [Counted::of($packages, 'package').($packages === 1 ? ' goes along' : ' go along')],
                'M8',
            ),
            null,
        );
    }

    /**
     * @param  Stick|null  $first  the installer's stick
     * @param  string  $why  why they cannot go onto the first
     */
    public static function secondStick(
        SticksAtHand $hand,
        ?Stick $first,
        Bytes $drivers,
        int $packages,
        string $why,
    ): self {
        $choice = StickChoice::decide(
            'media.drivers',
            'Where the drivers travel',
            $hand->without($first),
            $drivers->plus(Bytes::mebi(64)),
        );
        $of = $choice->decision;

        return new self(
            new Decision(
                'media.drivers',
                'Where the drivers travel',
                "a second stick: {$of->chosen}",
                [$why, ...$of->reasons],
                ['the same stick' => [$why], ...$of->refused],
                [...$of->facts, Counted::of($packages, 'package').($packages === 1 ? ' goes along' : ' go along')],
                'M8',
            ),
            $of->chosen,
            $choice->stick,
        );
    }
}
