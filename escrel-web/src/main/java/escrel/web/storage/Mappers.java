package escrel.web.storage;

import java.util.Objects;
import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.mapper.MapperFactoryBean;
import org.springframework.beans.factory.annotation.AnnotatedBeanDefinition;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.beans.factory.config.RuntimeBeanReference;
import org.springframework.beans.factory.support.BeanDefinitionRegistry;
import org.springframework.beans.factory.support.BeanNameGenerator;
import org.springframework.beans.factory.support.RootBeanDefinition;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.context.annotation.ImportBeanDefinitionRegistrar;
import org.springframework.core.ResolvableType;
import org.springframework.core.type.AnnotationMetadata;
import org.springframework.core.type.filter.AnnotationTypeFilter;
import org.springframework.util.ClassUtils;

/**
 * Finds the mappers beside and beneath the application. The library's own scanner leaves definitions that say in words what a
 * mapper is of and by what it is made: those cannot be worked out when the application is built, these can.
 */
public final class Mappers implements ImportBeanDefinitionRegistrar {
    @Override
    public void registerBeanDefinitions(
            AnnotationMetadata importing, BeanDefinitionRegistry registry, BeanNameGenerator names) {
        for (BeanDefinition found :
                new Interfaces().findCandidateComponents(ClassUtils.getPackageName(importing.getClassName()))) {
            registry.registerBeanDefinition(
                    names.generateBeanName(found, registry), mapper(Objects.requireNonNull(found.getBeanClassName())));
        }
    }

    private static RootBeanDefinition mapper(String name) {
        Class<?> type = ClassUtils.resolveClassName(name, Mappers.class.getClassLoader());
        RootBeanDefinition mapper = new RootBeanDefinition(MapperFactoryBean.class);
        mapper.setTargetType(ResolvableType.forClassWithGenerics(MapperFactoryBean.class, type));
        mapper.getConstructorArgumentValues().addIndexedArgumentValue(0, type);
        mapper.getPropertyValues().add("sqlSessionTemplate", new RuntimeBeanReference("sqlSessionTemplate"));
        return mapper;
    }

    /** A mapper is an interface, which the scanner would pass over. */
    private static final class Interfaces extends ClassPathScanningCandidateComponentProvider {
        Interfaces() {
            super(false);
            addIncludeFilter(new AnnotationTypeFilter(Mapper.class));
        }

        @Override
        protected boolean isCandidateComponent(AnnotatedBeanDefinition found) {
            return found.getMetadata().isInterface();
        }
    }
}
