<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Quantity\Bytes;

/** What has to be free on the bench computer while a stick is made: the copies that exist at once (rule M14). */
final readonly class HostSpace
{
    /** Files below this are unpacked together before they are copied; larger ones stream. */
    public const STREAM_FROM = 16_777_216;

    private function __construct(public Bytes $image, public Bytes $scratch)
    {
    }

    public static function raw(Bytes $image): self
    {
        return new self($image, Bytes::of(0));
    }

    /** @param  Bytes  $largest  the largest file, which streams when it is large */
    public static function copied(Bytes $image, Bytes $files, Bytes $largest): self
    {
        return new self($image, $largest->count >= self::STREAM_FROM ? $files->minus($largest) : $files);
    }

    /** @param  string  $where  the computer that makes the stick */
    public function describe(string $where = 'the bench computer'): string
    {
        $where = ucfirst($where);

        return $this->scratch->count === 0
            ? "{$where} holds the image, {$this->image->decimal()}, and no further copy."
            : "{$where} holds the image, {$this->image->decimal()}, and up to {$this->scratch->decimal()} "
                .'of unpacked files at once.';
    }
}
