<?php

declare(strict_types=1);

namespace App\View;

use App\Models\StickBuild;
use App\Models\StickEvent;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Document\Fields;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\Ways\SpeedHistory;

/** A stick of the register: what is on it, what it was measured at, what happened to it. */
final readonly class StickPage
{
    private const EVENTS = [
        'built' => 'Built and proven',
        'proven' => 'Made elsewhere and proven here',
        'failed' => 'Failed',
        'cancelled' => 'Cancelled',
        'checked' => 'True size checked',
        'retired' => 'Retired',
        'taken-back' => 'Taken back into use',
        'by-hand' => 'Written by hand',
        'read-by-hand' => 'Read back by hand',
        'hand-undone' => 'Written by hand, taken back',
        'booted-badly' => 'Did not start well',
        StickEvent::BLAMED => 'Was the cause of a problem',
    ];

    private Fields $content;

    /**
     * @param  array<string, mixed>  $content  what is on record
     * @param  bool  $gone  not plugged in
     * @param  iterable<StickEvent>  $events  newest first
     */
    public function __construct(
        public Stick $stick,
        array $content,
        public StickCondition $condition,
        public bool $gone,
        public ?StickBuild $build,
        private SpeedHistory $history,
        private iterable $events,
    ) {
        $this->content = Fields::of($content);
    }

    /** What is proven on it, or was begun; empty where nothing was built here. */
    public function title(): string
    {
        return $this->content->optionalString('title') ?? '';
    }

    public function isProven(): bool
    {
        return $this->content->has('image');
    }

    public function image(): string
    {
        return $this->content->string('image');
    }

    /** The first half of its checksum; empty where none was made. */
    public function checksum(): string
    {
        $sum = $this->content->optionalString('image_sha256') ?? '';

        return $sum === '' ? '' : substr($sum, 0, 32).'…';
    }

    public function isRaw(): bool
    {
        return $this->content->optionalString('mode') === 'raw';
    }

    public function label(): string
    {
        return $this->content->optionalString('label') ?? '';
    }

    public function files(): string
    {
        return $this->content->int('files').($this->isRaw() ? ' image' : ' files');
    }

    public function writtenBytes(): int
    {
        return $this->content->int('written_bytes');
    }

    public function drivers(): int
    {
        return $this->content->int('drivers');
    }

    public function when(): string
    {
        return Words::moment($this->content->optionalString('built_at'));
    }

    public function registered(): string
    {
        return ($this->stick->contents === null
            ? 'Nobody has noted what is on it.'
            : "The register says: {$this->stick->contents}.").' Nothing was built here on it yet.';
    }

    /** Whether all that is known of it is what a technician said. */
    public function isByHand(): bool
    {
        return $this->condition === StickCondition::ByHand;
    }

    public function isSpoiled(): bool
    {
        return $this->condition === StickCondition::Spoiled;
    }

    public function isRetired(): bool
    {
        return $this->condition === StickCondition::Retired;
    }

    /** Only what is proven gets a label. */
    public function takesLabel(): bool
    {
        return in_array($this->condition, [StickCondition::Good, StickCondition::Stale], true);
    }

    /** Whether it can be written now. */
    public function isFree(): bool
    {
        return ! $this->gone && $this->build?->isUnderWay() !== true;
    }

    public function mayBeBuilt(): bool
    {
        return ! $this->isRetired() && $this->stick->contentsMayGo;
    }

    public function stated(): string
    {
        return strtoupper($this->stick->connector)." · stated {$this->stick->writeRate()->label()} writing, ".
            "{$this->stick->readRate()->label()} reading · ".
            ($this->stick->contentsMayGo ? 'its contents may go' : 'its contents must stay');
    }

    public function learned(): string
    {
        $write = $this->history->write();

        return $write === null
            ? 'A rate is learned from 4 GiB on; until then plans use the stated one.'
            : "Learned: {$write->label()} writing, ".(string) $this->history->read()?->label().' reading back.';
    }

    /** @return list<array{what: string, title: string, at: string, by: string, details: string}> */
    public function events(): array
    {
        $lines = [];
        foreach ($this->events as $event) {
            $data = Fields::of($event->data);
            $title = $data->optionalString('title') ?? '';
            $lines[] = [
                'what' => self::EVENTS[$event->kind] ?? $event->kind,
                'title' => $title === '' ? '' : ": {$title}",
                'at' => Words::time($event->created_at),
                'by' => $event->user === null ? '' : ", {$event->user->title}",
                'details' => $event->kind === 'built'
                    ? self::built($data)
                    : ($data->optionalString('message') ?? ($data->optionalString('because') ?? '')),
            ];
        }

        return $lines;
    }

    private static function built(Fields $data): string
    {
        $tries = $data->has('attempts') ? array_values($data->blocks('attempts')) : [];

        return SizeWords::short($data->int('bytes')).
            ' · written in '.ShelfWords::clock((float) $data->number('write_seconds')).
            ' · read back in '.ShelfWords::clock((float) $data->number('verify_seconds')).
            ($tries === [] ? '' : ' · '.count($tries)." failed before: {$tries[0]->string('message')}");
    }
}
