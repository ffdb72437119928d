{{-- What the marks mean --}}
<div class="legend">
    @foreach (['add' => 'add', 'change' => 'change', 'remove' => 'remove', 'wrong' => 'trouble', 'past' => 'leave'] as $shape => $mark)
        <span><x-shape :is="$shape" />{{ __("plan.legend.$mark") }}</span>
    @endforeach
    @can('coordinate')
        <a class="ms-auto" href="{{ $page->controls }}">{{ __('plan.standins') }}</a>
    @endcan
</div>
