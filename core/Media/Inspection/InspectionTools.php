<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Cobblestone\Storage\Reading\ByteSource;

/** What the inspection asks of tools outside: file lists, the first bytes of what is compressed, signatures. */
interface InspectionTools
{
    /**
     * The file tree of an optical image or archive; null where the tool cannot read it. $kind is udf, iso or zip.
     *
     * @throws ListingFailed where it does not end within its limits
     */
    public function tree(string $kind): ?FileTree;

    /** What comes out at the start of a compressed file, up to $limit bytes; null where nothing does. */
    public function expandHead(string $compression, int $limit): ?ByteSource;

    public function signatures(): SignatureTool;
}
