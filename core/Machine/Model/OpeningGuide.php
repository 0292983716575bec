<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** How a model is opened: screws, clips, cables that tear; what the places of drive and card take (H1, H2). */
final readonly class OpeningGuide
{
    /**
     * @param  list<ScrewGroup>  $screws
     * @param  list<string>  $clips  in the order in which they are let go
     * @param  list<string>  $hidden  cables and catches that are not seen before they tear
     * @param  string|null  $battery  where its lead is, to be taken off first
     */
    public function __construct(
        public array $screws = [],
        public array $clips = [],
        public array $hidden = [],
        public ?string $battery = null,
        public ?DriveBay $drive = null,
        public ?CardSlot $card = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $screws = $fields->each('screws', ScrewGroup::read(...));
        $letters = array_map(static fn (ScrewGroup $one): string => $one->letter, $screws);
        if (count(array_unique($letters)) !== count($letters)) {
            throw FieldFault::at($fields->path('screws'), 'each group of screws needs a letter of its own.');
        }

        return new self(
            $screws,
            $fields->strings('clips'),
            $fields->strings('hidden'),
            $fields->optionalString('battery'),
            $fields->optional('drive', DriveBay::read(...)),
            $fields->optional('card', CardSlot::read(...)),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
