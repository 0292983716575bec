<section class="difference" aria-label="What changed on the path">
<b>Revision <?php echo e($job->revision); ?></b> · <?php echo e($reason); ?>

<?php if($difference['added'] === [] && $difference['dropped'] === [] && $difference['changed'] === [] && $difference['decided'] === []): ?><p>The path is the same as before.</p><?php else: ?>
<ul>
<?php $__currentLoopData = $difference['added']; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $title): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><li><b>new</b> <?php echo e($title); ?></li><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<?php $__currentLoopData = $difference['dropped']; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $title): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><li><b>gone</b> <s><?php echo e($title); ?></s></li><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<?php $__currentLoopData = $difference['changed']; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $change): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><li><b>changed</b> <?php echo e($change['title']); ?>: <?php echo e(implode(', ', $change['what'])); ?></li><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<?php $__currentLoopData = $difference['decided']; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $decision): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><li><b>decided</b> <?php echo e($decision); ?></li><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
</ul><?php endif; ?>
</section>
<?php /**PATH /work/main/resources/views/parts/difference.blade.php ENDPATH**/ ?>