<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

/** The cryptography of signatures, done by a tool outside (rule M2). */
interface SignatureTool
{
    /**
     * Subjects of the certificates in a loader's signature, the signer first.
     *
     * @return list<string>
     */
    public function signers(string $loader): array;

    /**
     * The certificates that come with a loader's signature.
     *
     * @return list<string> PEM
     */
    public function certificates(string $loader): array;

    /** Whether the loader's signature holds and its chain ends in that certificate (PEM). */
    public function chainsTo(string $loader, string $certificate): bool;
}
