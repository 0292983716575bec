<?php if($paginator->hasPages()): ?>
<p class="pages"><?php if($paginator->previousPageUrl()): ?><a class="btn" href="<?php echo e($paginator->previousPageUrl()); ?>">Newer</a><?php endif; ?> <?php if($paginator->nextPageUrl()): ?><a class="btn" href="<?php echo e($paginator->nextPageUrl()); ?>">Older</a><?php endif; ?></p>
<?php endif; ?>
<?php /**PATH /work/main/resources/views/parts/pages.blade.php ENDPATH**/ ?>