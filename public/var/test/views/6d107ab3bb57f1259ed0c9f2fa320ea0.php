<?php $__env->startSection('title', $entry->name); ?>
<?php $__env->startSection('content'); ?>
<header class="head"><h1><?php echo e($entry->name); ?></h1><span class="goal"><?php echo e(rtrim($entry->kind, 's')); ?> · <?php echo e($entry->slug); ?></span><a class="btn ms-auto" href="/catalogue">Catalogue</a></header>
<section class="panel"><pre class="mono doc"><?php echo e($yaml); ?></pre></section>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/catalogue/show.blade.php ENDPATH**/ ?>