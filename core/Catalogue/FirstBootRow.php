<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What the first start asks, in its words, and the answer: the profile's own, or one that is worked out by its id. */
final readonly class FirstBootRow
{
    /** Questions whose answer depends on the job, its owner or the bench. */
    public const IDS = [
        'region', 'keyboard', 'computer_name', 'use', 'account', 'password', 'diagnostics', 'offers', 'restore',
        'drivers', 'updates',
    ];

    public function __construct(public string $ask, public ?string $answer = null, public ?string $id = null)
    {
    }

    /** @throws FieldFault where it says neither an answer nor which question it is */
    public static function read(Fields $fields): self
    {
        $row = new self(
            $fields->string('ask'),
            $fields->optionalString('answer'),
            $fields->optionalOneOf('id', self::IDS),
        );

        return $row->answer === null && $row->id === null
            ? throw FieldFault::at($fields->path('answer'), 'give the answer, or the id of the question')
            : $row;
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
