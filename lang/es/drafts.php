<?php

// Borradores de un próximo horario.
return [
    'title' => 'Borradores',
    'sum' => 'Horarios posibles, hechos a partir de :term. Solo los ve coordinación.',
    'terms' => 'Trimestre',
    'none' => 'Aún no hay borradores',
    'none_hint' => 'Un borrador copia las series en otro trimestre y les busca hora. En ese trimestre no se guarda '
        .'nada '
        .'hasta que aceptas un borrador.',
    'no_term' => 'Aún no hay otro trimestre.',
    'add_term' => 'Añadir el próximo trimestre',
    'make' => 'Hacer un borrador',
    'to' => 'Para el trimestre',
    'name' => 'Nombre',
    'name_of' => 'Borrador :n',
    'anew' => 'Buscar una hora nueva para cada serie',
    'pins_hint' => 'Sin ello, cada serie conserva su hora y solo se resuelven las coincidencias. Las series '
        .'marcadas en la '
        .'última columna conservan su hora en cualquier caso.',
    'about' => 'Para :to, hecho a partir de :from.',
    'states' => [
        'waiting' => 'En espera',
        'running' => 'Buscando, :seconds s hasta ahora',
        'done' => 'Hecho en :seconds s',
        'stopped' => 'Parado',
        'failed' => 'Fallido: vuelve a hacerlo',
        'taken' => 'Aceptado',
    ],
    'looking' => 'Buscando horas. Puedes salir de esta página.',
    'beside' => 'Comparar con :other',
    'drop' => 'Eliminar',
    'compare' => 'Borradores uno junto a otro',
    'now' => 'Ahora',
    'stays' => 'Conserva su hora',
    'pin' => ':series conserva su hora',
    'with_students' => 'Con los estudiantes de hoy',
    'take' => 'Aceptar :title',
    'sums' => [
        'moved' => 'series a otra hora',
        'placed' => 'series con hora nueva',
        'must' => 'coincidencias por resolver',
        'students' => 'estudiantes en dos sitios, en todas las sesiones',
        'hours' => 'veces un estudiante antes de las :opens o después de las :closes en su reloj',
        'lost' => 'sesiones perdidas más',
        'advice' => 'sugerencias sin cumplir',
    ],
];
