{{-- What was sent, newest first. messages: MessageLine[] --}}
@props(['messages'])
@if ($messages === [])
    <p class="quiet mb-0">{{ __('places.webhooks.none') }}</p>
@else
    <div class="wide-table" tabindex="0" role="region" aria-label="{{ __('places.webhooks.log') }}">
        <table class="table-plain">
            <thead>
                <tr>
                    @foreach (['when', 'what', 'state', 'to'] as $head)
                        <th scope="col">{{ __("places.webhooks.heads.$head") }}</th>
                    @endforeach
                    <th scope="col"><span class="visually-hidden">{{ __('places.webhooks.again') }}</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($messages as $message)
                    <tr>
                        <td class="nowrap">{{ $message->when }}</td>
                        <th scope="row"><span class="mono">{{ $message->kind }}</span>
                            <div class="quiet small">{{ $message->about }}</div>
                        </th>
                        <td><span @class([
                            'ok' => $message->state === 'arrived',
                            'todo' => $message->state === 'waiting',
                            'bad' => $message->state === 'given-up',
                        ])>{{ __("places.webhooks.states.$message->state") }}</span>
                            <div class="quiet small">{{ $message->answer }}
                                {{ trans_choice('places.webhooks.tries', $message->tries) }}</div>
                        </td>
                        <td class="text-break small">{{ parse_url($message->address, PHP_URL_HOST) }}</td>
                        <td>
                            @if ($message->mayGo)
                                <x-act :to="route('webhooks.again', $message->id)" class="btn-plain" :do="__('places.webhooks.again')"
                                    :about="$message->kind . ' ' . $message->about" />
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </div>
@endif
