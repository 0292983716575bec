<?php $__env->startSection('title', 'Policy'); ?>
<?php $__env->startSection('content'); ?>
<header class="head"><h1>Policy</h1><span class="goal">where good technicians disagree, this bench does it like this; a job can depart from it</span></header>
<?php if(session('did') === 'saved'): ?><p class="saved" role="status">Saved. Paths computed from now on follow it; paths that exist stay as they are until they are computed again.</p><?php endif; ?>
<?php ($lead = auth()->user()->isLead()); ?>
<form method="post" action="/policy"><?php echo csrf_field(); ?>
<div class="cols even"><?php $__currentLoopData = \Cobblestone\Job\Policy::SCHOOLS; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $school => $options): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><fieldset class="panel school" <?php if(! $lead): echo 'disabled'; endif; ?>><legend><?php echo e(\Cobblestone\Job\Policy::title($school)); ?> <span class="rule"><?php echo e(\Cobblestone\Job\Policy::rule($school)); ?></span></legend>
<?php $__currentLoopData = $options; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $option => $words): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><label><input type="radio" name="<?php echo e($school); ?>" value="<?php echo e($option); ?>" <?php if(old($school, $policy->school($school)) === $option): echo 'checked'; endif; ?>> <span><?php echo e($words); ?></span></label><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?></fieldset><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?></div>
<?php $__errorArgs = ['policy'];
$__bag = $errors->getBag($__errorArgs[1] ?? 'default');
if ($__bag->has($__errorArgs[0])) :
if (isset($message)) { $__messageOriginal = $message; }
$message = $__bag->first($__errorArgs[0]); ?><p class="wrong"><?php echo e($message); ?></p><?php unset($message);
if (isset($__messageOriginal)) { $message = $__messageOriginal; }
endif;
unset($__errorArgs, $__bag); ?>
<?php if($lead): ?><div class="acts"><button class="btn go">Save the policy</button></div><?php else: ?><p class="fine">A lead can change it.</p><?php endif; ?>
</form>
<?php if($history->isNotEmpty()): ?><section class="panel"><h2>Changes</h2><ol class="log"><?php $__currentLoopData = $history; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $change): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><li><span class="when"><?php echo $__env->make('parts.time', ['at' => $change->created_at], array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?></span><div><?php echo e(implode(' · ', array_map(fn ($school, $option) => \Cobblestone\Job\Policy::title($school).': '.$option, array_keys($change->schools), $change->schools))); ?> <span class="fine"><?php echo e($change->user?->title); ?></span></div></li><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?></ol></section><?php endif; ?>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/policy/edit.blade.php ENDPATH**/ ?>