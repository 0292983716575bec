<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Document\Fields;
use Illuminate\Support\Carbon;

/** A job in the list of all jobs. */
final readonly class JobLine
{
    /**
     * @param  string  $number  four digits
     * @param  string  $where  how far it is, in words
     * @param  string  $taken  when it was taken in, as an element of time
     */
    private function __construct(
        public int $job,
        public string $number,
        public string $title,
        public ?int $slot,
        public string $where,
        public string $by,
        public string $taken,
    ) {
    }

    /**
     * @param  object{id: int, slot: int|null, title: string, status: string, summary: string, by: string,
     *     taken: int}  $row
     */
    public static function of(object $row): self
    {
        return new self(
            $row->id,
            sprintf('%04d', $row->id),
            $row->title,
            $row->slot,
            $row->status === 'open' ? self::where(json_decode($row->summary, true)) : 'handed over',
            $row->by,
            Words::time(Carbon::createFromTimestamp($row->taken)),
        );
    }

    private static function where(mixed $summary): string
    {
        $summary = Fields::of(is_array($summary) ? $summary : []);
        $current = $summary->optionalBlock('current');

        return (int) $summary->optionalInt('done').' of '.(int) $summary->optionalInt('total').
            ($current === null ? '' : " · {$current->string('title')}");
    }
}
