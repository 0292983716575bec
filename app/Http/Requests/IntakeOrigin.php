<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Cobblestone\Brief\BriefFault;

/** Where an image comes from that is not the publisher's own, as it was typed (rule A15). */
final class IntakeOrigin
{
    use TypedFields;

    /** @param  array<string, mixed>  $typed */
    public function __construct(private readonly array $typed)
    {
    }

    /**
     * What the form does not ask stays as it was.
     *
     * @param  array<array-key, mixed>  $image  as the brief described it before
     * @return array{}|array{origin: array<array-key, mixed>}
     *
     * @throws BriefFault
     */
    public function over(array $image): array
    {
        $kind = $this->text('image_origin');
        $before = is_array($image['origin'] ?? null) ? $image['origin'] : [];

        return $kind === null ? [] : ['origin' => array_filter([
            ...$before,
            'kind' => $kind,
            'from' => $this->text('image_from') ?? throw BriefFault::at(
                'image.origin.from',
                'where does it come from? Say who gives it out.',
            ),
            'reason' => $this->text('image_reason'),
        ])];
    }
}
