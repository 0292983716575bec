<?php $__currentLoopData = $step->because; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $reason): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?>
<p><?php echo \App\View\Words::html($reason->text); ?> <span class="rule"><?php echo e($reason->rule); ?></span></p>
<?php if($reason->source !== ''): ?><p class="src"><?php echo e($reason->source); ?></p><?php endif; ?>
<?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<?php /**PATH /work/main/resources/views/parts/because.blade.php ENDPATH**/ ?>